package ration.desktop.frame;

import java.util.Set;
import ration.answer.guide.Step;
import ration.verdict.check.Check;
import ration.verdict.check.Check.Topic;
import ration.verdict.check.Finding;

/** The pages of this version, in the order of the job. */
public enum Page {
    BRIEF("Aircraft"),
    LAYOUT("Layout", Topic.LAYOUT, Topic.ELECTRICAL),
    RUNS("Lines", Topic.RUNS),
    FLOW("Flow", Topic.FLOW),
    TANKS("Tanks", Topic.TANKS),
    VAPOR("Vapor", Topic.VAPOR),
    AIR("Vents & drains", Topic.AIR),
    FAULTS("Failures"),
    FLIGHT("Flight"),
    BUILD("Build"),
    HANGAR("Hangar tests", Topic.HANGAR),
    FIND("Troubleshoot"),
    UPKEEP("Maintenance"),
    SIGN_OFF("Sign-off", Topic.values()),
    VARIANTS("Variants");

    private final String label;
    private final Set<Topic> topics;

    Page(String label, Topic... topics) {
        this.label = label;
        this.topics = Set.of(topics);
    }

    /** Whether a finding belongs to this page. A test that has gone stale concerns the tank and the hangar alike. */
    boolean concerns(Finding f) {
        return topics.contains(f.topic()) || this == HANGAR && f.check() == Check.TANK_STALE;
    }

    /** Whether it shows the case looked at, and another as soon as that is set. */
    boolean livesByConditions() {
        return switch (this) {
            case LAYOUT, FLOW, TANKS, VAPOR, AIR, FIND -> true;
            case BRIEF, RUNS, FAULTS, FLIGHT, BUILD, HANGAR, UPKEEP, SIGN_OFF, VARIANTS -> false;
        };
    }

    /** The step of the guide that tells of it. */
    Step step() {
        return switch (this) {
            case BRIEF -> Step.ENGINE;
            case LAYOUT -> Step.LAYOUT;
            case RUNS -> Step.LINES;
            case FLOW -> Step.GOVERNS;
            case TANKS, FLIGHT -> Step.ATTITUDES;
            case AIR -> Step.HEIGHTS;
            case FAULTS, VARIANTS -> Step.CHANGE;
            case BUILD, HANGAR -> Step.HANGAR;
            case VAPOR, FIND -> Step.FIRST_RUN;
            case UPKEEP, SIGN_OFF -> Step.SIGN_OFF;
        };
    }

    public String label() {
        return label;
    }
}
