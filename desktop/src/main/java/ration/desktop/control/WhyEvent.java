package ration.desktop.control;

import javafx.event.Event;
import javafx.event.EventTarget;
import javafx.event.EventType;
import ration.verdict.why.Why;

/** Somebody asked how a figure came about; the window answers. */
public final class WhyEvent extends Event {

    public static final EventType<WhyEvent> ASKED = new EventType<>(Event.ANY, "WHY");

    private final transient Why why;

    WhyEvent(EventTarget target, Why why) {
        super(target, target, ASKED);
        this.why = why;
    }

    public Why why() {
        return why;
    }
}
