package ration.desktop.session;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import ration.record.project.Edit;
import ration.record.project.Project;

/** Snapshots to go back to, a step an edit: fields give their value once, so typing needs no merging. */
final class History {

    private static final int DEPTH = 500;

    private record Step(String name, Project before, Project after) {}

    private final Deque<Step> done = new ArrayDeque<>();
    private final Deque<Step> undone = new ArrayDeque<>();

    void record(Edit edit, Project before, Project after) {
        undone.clear();
        done.push(new Step(edit.name(), before, after));
        if (done.size() > DEPTH) {
            done.removeLast();
        }
    }

    Optional<Project> undo() {
        return Optional.ofNullable(done.poll()).map(s -> {
            undone.push(s);
            return s.before;
        });
    }

    Optional<Project> redo() {
        return Optional.ofNullable(undone.poll()).map(s -> {
            done.push(s);
            return s.after;
        });
    }

    String undoName() {
        return done.isEmpty() ? "" : done.peek().name;
    }

    String redoName() {
        return undone.isEmpty() ? "" : undone.peek().name;
    }

    void clear() {
        done.clear();
        undone.clear();
    }
}
