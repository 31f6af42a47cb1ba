package app.nosegay.plan.check;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.Move.Height;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Tempos;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Getting ready for one stretch of movement: the larger of what must be said and (watching + moving).
 *
 * @param segment what one gets ready for
 * @param before the movement before it, or null
 * @param available the time there is between the two
 * @param said what must be said takes this long
 * @param watching one full rep of a new move; nothing for a repeat
 * @param moving the sum of {@code steps}, stretched for the audience
 * @param steps what has to be done, each with its cost
 * @param inRest whether a rest, talk or demonstration lies between, else the moves follow back to back
 */
public record ChangeOver(
        Segment segment,
        Segment before,
        Length available,
        Length said,
        Length watching,
        Length moving,
        List<Step> steps,
        boolean inRest) {
    public ChangeOver {
        steps = List.copyOf(steps);
    }

    /** One thing to do: put the kettlebell down, go to the floor. */
    public record Step(String what, Length cost) {}

    public Length needed() {
        return Length.max(said, watching.plus(moving));
    }

    /** How many seconds are missing; zero or less when there is enough. */
    public Length missing() {
        return needed().minus(available);
    }

    /** What has to be done, for people: {@code put down kettlebell 3 s, go to the floor 6 s}. */
    public String describe() {
        List<String> parts = new ArrayList<>();
        if (said.compareTo(watching.plus(moving)) > 0) {
            parts.add(CoreText.of("plan.check.change-over.saying-what-comes", seconds(said)));
        } else {
            if (watching.isPositive()) {
                parts.add(CoreText.of("plan.check.change-over.watching-one-rep", seconds(watching)));
            }
            steps.forEach(s -> parts.add(s.what() + " " + seconds(s.cost())));
        }
        return parts.isEmpty() ? CoreText.of("plan.check.change-over.nothing-to-do") : String.join(", ", parts);
    }

    static String seconds(Length length) {
        double s = Math.round(length.seconds() * 10) / 10.0;
        return (s == Math.rint(s) ? "" + (long) s : "" + s) + " s";
    }

    /** All change-overs of a timeline, in order; the first movement has none. */
    public static List<ChangeOver> of(Timeline timeline, MoveLibrary library, ChangeCosts costs) {
        return new Walk(timeline, library, costs).all();
    }

    /** One walk along the timeline, remembering what is held, how high the body is and which moves were seen. */
    private static final class Walk {
        private final Timeline timeline;
        private final MoveLibrary library;
        private final ChangeCosts costs;
        private final double factor;
        private final Set<String> seen = new HashSet<>();
        private final Set<String> demonstrated = new HashSet<>();

        Walk(Timeline timeline, MoveLibrary library, ChangeCosts costs) {
            this.timeline = timeline;
            this.library = library;
            this.costs = costs;
            boolean slower = timeline.sheet().header().audience().stream().anyMatch(Audience::movesSlowly);
            this.factor = slower ? ChangeCosts.SLOWER_AUDIENCE : 1;
        }

        List<ChangeOver> all() {
            List<ChangeOver> found = new ArrayList<>();
            Segment before = null;
            boolean still = false;
            for (Segment s : timeline.segments()) {
                if (s.kind() == SegmentKind.DEMO) {
                    demonstrated.add(s.move());
                }
                if (!s.kind().isMoving()) {
                    still |= s.kind() != SegmentKind.SWITCH;
                    continue;
                }
                if (before != null) {
                    found.add(between(before, s, still));
                }
                seen.add(s.move());
                before = s;
                still = false;
            }
            return found;
        }

        private ChangeOver between(Segment before, Segment s, boolean still) {
            List<Step> steps = steps(before, s);
            Length moving = steps.stream().map(Step::cost).reduce(Length.ZERO, Length::plus);
            boolean isNew = !seen.contains(s.move());
            // Warm-up and cool-down are followed along at ease; what is worked has to be seen first.
            boolean watched = s.kind() == SegmentKind.WORK
                    && isNew
                    && still
                    && demoOf(s) == Attribute.Demo.IN_REST
                    && !demonstrated.contains(s.move());
            Length watching = watched ? Tempos.rep(s, library) : Length.ZERO;
            Length said = still ? said(s, isNew) : Length.ZERO;
            return new ChangeOver(s, before, s.start().since(before.end()), said, watching, moving, steps, still);
        }

        private static Attribute.Demo demoOf(Segment s) {
            return s.line().attributes().over(s.block().attributes()).demo();
        }

        private Length said(Segment s, boolean isNew) {
            Length name = SpeechRate.DEFAULT.toSay(CoreText.of("plan.check.change-over.next", s.move()), false);
            if (!isNew || demoOf(s) != Attribute.Demo.IN_REST || demonstrated.contains(s.move())) {
                return name;
            }
            String setup = s.line().cues().stream()
                    .filter(c -> c.kind() == CueKind.SETUP)
                    .map(RunSheet.Cue::text)
                    .findFirst()
                    .or(() -> s.wholeMove(library)
                            .flatMap(m -> m.cues(CueKind.SETUP).stream().findFirst()))
                    .orElse("");
            return setup.isEmpty()
                    ? name
                    : name.plus(Length.ofMillis(500)).plus(SpeechRate.DEFAULT.toSay(setup, false));
        }

        private List<Step> steps(Segment before, Segment s) {
            List<Step> steps = new ArrayList<>();
            gear(before, s, steps);
            height(before, s, steps);
            String from = angle(before);
            String to = angle(s);
            if (!from.isEmpty() && !to.isEmpty() && !from.equals(to)) {
                step(steps, CoreText.of("plan.check.change-over.turn-to", to), costs.turn());
            }
            boolean sides = s.side() != before.side()
                    && (s.side() == Side.LEFT || s.side() == Side.RIGHT)
                    && (before.side() == Side.LEFT || before.side() == Side.RIGHT);
            if (sides && s.move().equals(before.move())) {
                step(
                        steps,
                        CoreText.of(
                                "plan.check.change-over.change-to-the-side",
                                s.side().word()),
                        costs.side());
            }
            return steps;
        }

        private void gear(Segment before, Segment s, List<Step> steps) {
            List<GearItem> held = held(before);
            List<GearItem> wanted = held(s);
            for (GearItem item : wanted) {
                Optional<GearItem> same =
                        held.stream().filter(h -> h.name().equals(item.name())).findFirst();
                if (same.isEmpty()) {
                    step(
                            steps,
                            (item.isBand()
                                            ? CoreText.of("plan.check.change-over.set-up")
                                            : CoreText.of("plan.check.change-over.pick-up"))
                                    + item.name(),
                            item.isBand() ? costs.band() : costs.pickUpOrPutDown());
                } else if (item.pair() != same.get().pair()) {
                    step(
                            steps,
                            item.pair()
                                    ? CoreText.of("plan.check.change-over.second", item.name())
                                    : CoreText.of("plan.check.change-over.one-of-two", item.name()),
                            costs.pickUpOrPutDown());
                } else if (!item.weight().isEmpty()
                        && !same.get().weight().isEmpty()
                        && !item.weight().equals(same.get().weight())) {
                    step(
                            steps,
                            CoreText.of("plan.check.change-over.swap-to", item.weight(), item.name()),
                            costs.swap());
                }
            }
            Set<String> kept = wanted.stream().map(GearItem::name).collect(Collectors.toSet());
            held.stream()
                    .filter(h -> !kept.contains(h.name()))
                    .forEach(h -> step(
                            steps, CoreText.of("plan.check.change-over.put-down", h.name()), costs.pickUpOrPutDown()));
        }

        private List<GearItem> held(Segment s) {
            return GearList.of(s, library, timeline.sheet().header()).stream()
                    .filter(GearItem::isHeld)
                    .toList();
        }

        private void height(Segment before, Segment s, List<Step> steps) {
            Height from = heightOf(before, library);
            Height to = heightOf(s, library);
            if (from == to) {
                return;
            }
            if (to == Height.FLOOR) {
                step(steps, CoreText.of("plan.check.change-over.go-to-the-floor"), costs.down());
            } else if (from == Height.FLOOR) {
                step(steps, CoreText.of("plan.check.change-over.get-up-from-the-floor"), costs.up());
            } else {
                step(
                        steps,
                        to == Height.RAISED
                                ? CoreText.of("plan.check.change-over.move-to-the-bench-or")
                                : CoreText.of("plan.check.change-over.stand-up"),
                        costs.seat());
            }
        }

        private static String angle(Segment s) {
            return s.line()
                    .attributes()
                    .over(s.block().attributes())
                    .words(Attribute.ANGLE)
                    .orElse("");
        }

        private void step(List<Step> steps, String what, Length cost) {
            steps.add(new Step(what, cost.times(factor)));
        }
    }

    /** How high the body is in {@code s}: as written, else as the library says, else standing. */
    public static Height heightOf(Segment s, MoveLibrary library) {
        String written = s.position();
        if (!written.isEmpty()) {
            String w = written.toLowerCase(java.util.Locale.ROOT);
            boolean low = w.contains("floor") || w.contains("lying") || w.contains("fours") || w.contains("kneel");
            boolean raised = w.contains("chair") || w.contains("bench") || w.contains("seat");
            return low ? Height.FLOOR : raised ? Height.RAISED : Height.STANDING;
        }
        return s.moves(library).stream().map(Move::height).max(Enum::compareTo).orElse(Height.STANDING);
    }
}
