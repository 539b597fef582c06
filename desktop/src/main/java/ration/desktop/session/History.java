package ration.desktop.session;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import ration.project.Edit;
import ration.project.Project;

/** Snapshots to go back to. Edits in a row with one merge mark are one step. */
final class History {

    private static final int DEPTH = 500;

    private record Step(String name, String merge, Project before, Project after) {
    }

    private final Deque<Step> done = new ArrayDeque<>();
    private final Deque<Step> undone = new ArrayDeque<>();

    void record(Edit edit, Project before, Project after) {
        undone.clear();
        Step last = done.peek();
        if (last != null && !edit.merge().isEmpty() && last.merge.equals(edit.merge())) {
            done.pop();
            done.push(new Step(edit.name(), edit.merge(), last.before, after));
        } else {
            done.push(new Step(edit.name(), edit.merge(), before, after));
        }
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
