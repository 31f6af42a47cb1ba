package app.nosegay.plan;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Compares a timeline with what its sheet promises, and names what could not be read. */
public final class PlanCheck {
    /** The move traits a promise may rule out, by the words people promise with. */
    private static final Map<String, String> ABSENCES = Map.of(
            "floor",
            "floor",
            "jumps",
            "impact",
            "jumping",
            "impact",
            "lying down",
            "lying",
            "press-ups",
            "press-up",
            "push-ups",
            "press-up",
            "planks",
            "plank",
            "kneeling",
            "kneeling");

    private final Timeline timeline;
    private final MoveLibrary library;
    private final List<Finding> findings = new ArrayList<>();

    private PlanCheck(Timeline timeline, MoveLibrary library) {
        this.timeline = timeline;
        this.library = library;
    }

    public static List<Finding> findings(Timeline timeline, MoveLibrary library) {
        PlanCheck check = new PlanCheck(timeline, library);
        check.unread();
        check.promise();
        check.absences();
        check.sides();
        return List.copyOf(check.findings);
    }

    /** The length the promise is measured over. */
    public static Length measured(Timeline timeline) {
        Promise promise = timeline.sheet().header().promise();
        return switch (promise.base()) {
            case WHOLE -> timeline.total();
            case WORK -> timeline.total(SegmentKind.WORK);
            case MOVING -> {
                List<Segment> moving = timeline.segments().stream()
                        .filter(s -> s.kind().isMoving())
                        .toList();
                yield moving.isEmpty()
                        ? Length.ZERO
                        : moving.get(moving.size() - 1)
                                .end()
                                .since(moving.get(0).start());
            }
        };
    }

    /** Whether every part of the promise holds: minutes, moves, rounds and absences. */
    public static boolean promiseKept(List<Finding> findings) {
        return findings.stream().noneMatch(f -> f.code().startsWith("plan.promise"));
    }

    /** The promise and what becomes of it, as one plain sentence. */
    public static String sentence(Timeline timeline, List<Finding> findings) {
        Promise promise = timeline.sheet().header().promise();
        String total = timeline.total().clock();
        if (promise.text().isEmpty()) {
            return "Nothing is promised yet. The workout lasts " + total + ".";
        }
        if (promiseKept(findings)) {
            return "The promise \"" + promise.text() + "\" holds: the workout lasts " + total + ".";
        }
        return "The promise \"" + promise.text() + "\" does not hold: "
                + String.join(
                        " ",
                        findings.stream()
                                .filter(f -> f.code().startsWith("plan.promise"))
                                .map(Finding::message)
                                .toList());
    }

    private void unread() {
        for (Problem p : timeline.sheet().problems()) {
            Severity severity = p.note() ? Severity.NOTE : Severity.STOP;
            String fix = p.nearest() == null ? null : "write \"" + p.nearest() + "\"";
            findings.add(new Finding(p.note() ? "plan.unknown-move" : "plan.unread", severity, null, p.message(), fix));
        }
    }

    private void promise() {
        Promise promise = timeline.sheet().header().promise();
        Length measured = measured(timeline);
        if (promise.form() != null && measured.compareTo(promise.longest()) > 0) {
            Length over = measured.minus(promise.most());
            findings.add(new Finding(
                    "plan.promise-length",
                    Severity.STOP,
                    null,
                    "It lasts " + measured.clock() + ", " + over.clock() + " longer than promised.",
                    "take out " + over.clock()));
        } else if (promise.form() != null && measured.compareTo(promise.shortest()) < 0) {
            Length under = promise.least().minus(measured);
            findings.add(new Finding(
                    "plan.promise-length",
                    Severity.STOP,
                    null,
                    "It lasts " + measured.clock() + ", " + under.clock() + " shorter than promised.",
                    "add " + under.clock()));
        }
        int moves = timeline.workMoves(false).size();
        int withBonus = timeline.workMoves(true).size();
        if (promise.moves() != null && promise.moves() != moves && promise.moves() != withBonus) {
            findings.add(new Finding(
                    "plan.promise-moves",
                    Severity.STOP,
                    null,
                    promise.moves() + " moves are promised, the plan has " + moves + ".",
                    null));
        }
        int rounds = timeline.segments().stream()
                .filter(s -> s.round() != null && s.block().kind() == BlockKind.CIRCUIT)
                .mapToInt(Segment::round)
                .max()
                .orElse(1);
        if (promise.rounds() != null && promise.rounds() != rounds) {
            findings.add(new Finding(
                    "plan.promise-rounds",
                    Severity.STOP,
                    null,
                    promise.rounds() + " rounds are promised, the plan has " + rounds + ".",
                    null));
        }
    }

    private void absences() {
        for (String absent : timeline.sheet().header().promise().absent()) {
            String trait = ABSENCES.get(absent);
            if (trait == null) {
                findings.add(new Finding(
                        "plan.promise-unknown",
                        Severity.LOOK,
                        null,
                        "\"no " + absent + "\" cannot be checked; known are: "
                                + String.join(
                                        ", ",
                                        ABSENCES.keySet().stream().sorted().toList()) + ".",
                        null));
                continue;
            }
            timeline.segments().stream()
                    .filter(s -> s.kind().isMoving() && hasTrait(s, trait))
                    .findFirst()
                    .ifPresent(s -> findings.add(new Finding(
                            "plan.promise-absence",
                            Severity.STOP,
                            s.id(),
                            "\"no " + absent + "\" is promised, but " + s.move() + " has it.",
                            "replace " + s.move())));
        }
    }

    private boolean hasTrait(Segment segment, String trait) {
        Optional<Move> move = library.find(segment.move());
        return move.isPresent()
                && (move.get().traits().contains(trait)
                        || (trait.equals("floor") && move.get().isOnFloor()));
    }

    private void sides() {
        Balance balance = Balance.of(timeline, library);
        Length apart = balance.left().time().minus(balance.right().time()).abs();
        if (apart.isPositive()) {
            findings.add(new Finding(
                    "plan.sides-uneven",
                    Severity.FIX,
                    null,
                    "The left side works " + balance.left().time().clock() + ", the right side "
                            + balance.right().time().clock() + ".",
                    "give both sides the same time"));
        }
    }
}
