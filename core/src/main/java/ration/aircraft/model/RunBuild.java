package ration.aircraft.model;

import java.util.Optional;
import ration.base.quantity.Measured;

/**
 * How a run is made up and held, as the runs sheet records it. Everything may still be unknown.
 *
 * @param construction what it is made as
 * @param supplied length of the hose or tube at hand
 * @param tightest radius of its tightest bend
 * @param spacing longest stretch between supports
 * @param torque the flare nuts are done up to, as lb-in
 * @param heat distance to the nearest hot part
 * @param chafe clearance to what it could rub on
 * @param marks yes-or-no points
 * @param start its end where it leaves
 * @param end its end where it arrives
 * @param papers what a build sheet keeps beside figures
 */
public record RunBuild(
        Optional<Construction> construction,
        Optional<Measured> supplied,
        Optional<Measured> tightest,
        Optional<Measured> spacing,
        Optional<Measured> torque,
        Optional<Measured> heat,
        Optional<Measured> chafe,
        Marks marks,
        End start,
        End end,
        Papers papers) {

    /** Nothing known yet. */
    public static final RunBuild NONE = new RunBuild(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            new Marks(false, false, false),
            End.NONE,
            End.NONE,
            Papers.NONE);

    /**
     * What a build sheet keeps beside figures; days as yyyy-mm-dd, each may be empty.
     *
     * @param clamp kind and size: cushion 3/8
     * @param part number of the piece
     * @param lot of the hose
     * @param made the maker's day on it
     * @param proof pressure it was proved at
     * @param proofed day of that
     * @param stripe whether its nuts carry a torque stripe
     * @param initials of who did it up
     */
    public record Papers(
            String clamp,
            String part,
            String lot,
            String made,
            Optional<Measured> proof,
            String proofed,
            boolean stripe,
            String initials) {
        public static final Papers NONE = new Papers("", "", "", "", Optional.empty(), "", false, "");

        public Papers withClamp(String other) {
            return new Papers(other, part, lot, made, proof, proofed, stripe, initials);
        }

        public Papers withPart(String other) {
            return new Papers(clamp, other, lot, made, proof, proofed, stripe, initials);
        }

        public Papers withLot(String other) {
            return new Papers(clamp, part, other, made, proof, proofed, stripe, initials);
        }

        public Papers withMade(String other) {
            return new Papers(clamp, part, lot, other, proof, proofed, stripe, initials);
        }

        public Papers withProof(Optional<Measured> other) {
            return new Papers(clamp, part, lot, made, other, proofed, stripe, initials);
        }

        public Papers withProofed(String other) {
            return new Papers(clamp, part, lot, made, proof, other, stripe, initials);
        }

        public Papers withStripe(boolean other) {
            return new Papers(clamp, part, lot, made, proof, proofed, other, initials);
        }

        public Papers withInitials(String other) {
            return new Papers(clamp, part, lot, made, proof, proofed, stripe, other);
        }
    }

    /**
     * Yes-or-no points.
     *
     * @param sleeved in fire sleeve
     * @param moving its two ends move against each other
     * @param temporary fitted for ground runs only
     */
    public record Marks(boolean sleeved, boolean moving, boolean temporary) {}

    /**
     * One end of a run and what it meets.
     *
     * @param fitting on the run
     * @param port of the item it meets
     * @param family the construction the hose fitting is made for
     * @param adapter between the two, in words; empty if none
     * @param sealant on the joint, in words; empty if none
     * @param clamp what holds a hose on its barb
     * @param shape how the end fitting of a hose stands on its port
     */
    public record End(
            Optional<JointEnd> fitting,
            Optional<JointEnd> port,
            Optional<Construction> family,
            String adapter,
            String sealant,
            Optional<BarbClamp> clamp,
            Optional<HoseEnd> shape) {
        public static final End NONE = new End(
                Optional.empty(), Optional.empty(), Optional.empty(), "", "", Optional.empty(), Optional.empty());

        public End {
            adapter = adapter.strip();
            sealant = sealant.strip();
        }

        private End resized(LineSize from, LineSize to) {
            Optional<JointEnd> other = fitting.map(f -> f.size().equals("-" + from.dash()) && to.dash() > 0
                    ? new JointEnd(f.way(), "-" + to.dash(), f.female())
                    : f);
            boolean mates = other.isPresent() && port.isPresent() && other.get().mates(port.get());
            return new End(
                    other,
                    port,
                    family.filter(c -> c.hose() == (to.kind() == LineSize.Kind.HOSE)),
                    mates
                            ? ""
                            : other.equals(fitting) || adapter.isEmpty()
                                    ? adapter
                                    : JointEnd.adapter(other.get(), port.orElse(other.get())),
                    sealant,
                    clamp,
                    shape);
        }

        public End withFitting(Optional<JointEnd> other) {
            return new End(other, port, family, adapter, sealant, clamp, shape);
        }

        public End withPort(Optional<JointEnd> other) {
            return new End(fitting, other, family, adapter, sealant, clamp, shape);
        }

        public End withFamily(Optional<Construction> other) {
            return new End(fitting, port, other, adapter, sealant, clamp, shape);
        }

        public End withAdapter(String other) {
            return new End(fitting, port, family, other, sealant, clamp, shape);
        }

        public End withSealant(String other) {
            return new End(fitting, port, family, adapter, other, clamp, shape);
        }

        public End withClamp(Optional<BarbClamp> other) {
            return new End(fitting, port, family, adapter, sealant, other, shape);
        }

        public End withShape(Optional<HoseEnd> other) {
            return new End(fitting, port, family, adapter, sealant, clamp, other);
        }
    }

    /** As made up for a line of another size; see {@link Run#resized}. */
    RunBuild resized(LineSize from, LineSize to) {
        return new RunBuild(
                construction.filter(c -> c.hose() == (to.kind() == LineSize.Kind.HOSE)),
                Optional.empty(),
                tightest,
                spacing,
                Optional.empty(),
                heat,
                chafe,
                marks,
                start.resized(from, to),
                end.resized(from, to),
                Papers.NONE.withClamp(papers.clamp()));
    }

    /** The measured figures that may be given, by name. */
    public enum Figure {
        SUPPLIED,
        TIGHTEST,
        SPACING,
        TORQUE,
        HEAT,
        CHAFE
    }

    public Optional<Measured> figure(Figure which) {
        return switch (which) {
            case SUPPLIED -> supplied;
            case TIGHTEST -> tightest;
            case SPACING -> spacing;
            case TORQUE -> torque;
            case HEAT -> heat;
            case CHAFE -> chafe;
        };
    }

    public RunBuild with(Figure which, Optional<Measured> m) {
        return new RunBuild(
                construction,
                which == Figure.SUPPLIED ? m : supplied,
                which == Figure.TIGHTEST ? m : tightest,
                which == Figure.SPACING ? m : spacing,
                which == Figure.TORQUE ? m : torque,
                which == Figure.HEAT ? m : heat,
                which == Figure.CHAFE ? m : chafe,
                marks,
                start,
                end,
                papers);
    }

    public RunBuild with(Optional<Construction> other) {
        return new RunBuild(other, supplied, tightest, spacing, torque, heat, chafe, marks, start, end, papers);
    }

    public RunBuild with(Marks other) {
        return new RunBuild(construction, supplied, tightest, spacing, torque, heat, chafe, other, start, end, papers);
    }

    public RunBuild withStart(End other) {
        return new RunBuild(construction, supplied, tightest, spacing, torque, heat, chafe, marks, other, end, papers);
    }

    public RunBuild withEnd(End other) {
        return new RunBuild(
                construction, supplied, tightest, spacing, torque, heat, chafe, marks, start, other, papers);
    }

    public RunBuild with(Papers other) {
        return new RunBuild(construction, supplied, tightest, spacing, torque, heat, chafe, marks, start, end, other);
    }
}
