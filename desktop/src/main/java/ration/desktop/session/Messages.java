package ration.desktop.session;

import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** What is said to who sits before the window, the newest first; on the interface thread. */
final class Messages {

    /** Said at once; older ones are dropped. */
    private static final int MOST = 3;

    private final ObservableList<Message> all = FXCollections.observableArrayList();
    private final ReadOnlyStringWrapper newest = new ReadOnlyStringWrapper("");

    ObservableList<Message> all() {
        return all;
    }

    /** The newest of them, or empty. */
    ReadOnlyStringProperty newest() {
        return newest.getReadOnlyProperty();
    }

    void tell(String text, Message.Tone tone) {
        tell(new Message(text, tone));
    }

    void tell(Message m) {
        all.removeIf(x -> x.text().equals(m.text()));
        all.add(0, m);
        if (all.size() > MOST) {
            all.remove(MOST, all.size());
        }
        changed();
    }

    void dismiss(Message m) {
        all.remove(m);
        changed();
    }

    /** What was said of the document as it was. */
    void pass() {
        all.removeIf(m -> m.tone() != Message.Tone.TROUBLE);
        changed();
    }

    void hush() {
        all.clear();
        changed();
    }

    private void changed() {
        newest.set(all.isEmpty() ? "" : all.get(0).text());
    }
}
