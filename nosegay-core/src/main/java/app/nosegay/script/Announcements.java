package app.nosegay.script;

import static app.nosegay.script.Wordings.capital;
import static app.nosegay.script.Wordings.number;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.GearItem;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Load;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.script.CueCandidate.Window;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What comes next: the move with its side and gear, its place in the order, what changes where the move stays, and what is done in a
 * rest. Said in the pause before, where there is one; else in the last third of what runs then.
 */
final class Announcements {
    /** While something is done, the next move is news only near its end: long enough to be said and understood with its gear. */
    private static final double LATE_SECONDS = 14;

    /** Where calls leave no room there. */
    private static final double EARLY_SECONDS = 25;
    /** How long a rest is, is said where nobody sees it and it is worth knowing. */
    private static final double LEAST_TOLD = 20;

    private final Timeline timeline;
    private final MoveLibrary library;
    private final List<Segment> segments;
    private final Map<String, Integer> roundsByBlock;
    private final Set<Integer> amountsTold = new HashSet<>();
    private List<GearItem> held = List.of();

    Announcements(Timeline timeline, MoveLibrary library) {
        this.timeline = timeline;
        this.library = library;
        this.segments = timeline.segments();
        this.roundsByBlock = timeline.roundsByBlock();
    }

    /** What was moved last before segment {@code i}; null at the start. */
    Segment movedBefore(int i) {
        for (int k = i - 1; k >= 0; k--) {
            if (segments.get(k).kind().isMoving()) {
                return segments.get(k);
            }
        }
        return null;
    }

    /** Whether {@code s} is the other side of what {@code before} was: the same go at the same line. */
    static boolean isOtherSide(Segment s, Segment before) {
        return before != null
                && s.line() != null
                && before.line() != null
                && s.line().line() == before.line().line()
                && java.util.Objects.equals(s.round(), before.round())
                && java.util.Objects.equals(s.set(), before.set())
                && s.side() != before.side();
    }

    /** What is done in a rest is said as it begins. */
    void rest(int i, List<CueCandidate> wishes) {
        Segment s = segments.get(i);
        boolean long_ = s.duration().seconds() >= LEAST_TOLD;
        if (timeline.sheet().header().voiceOnly() && long_) {
            String text = "Rest for " + Phrases.time(s.duration()) + ".";
            wishes.add(new CueCandidate(s, CueKind.PERMIT, List.of(text), List.of(new Window(s, 0, 0.3)), false, true));
        }
        if (s.move() == null) {
            return;
        }
        boolean water = s.move().contains("water");
        boolean known = !s.moves(library).isEmpty();
        String text = water
                ? "Have some water."
                : known ? "Keep moving: " + Phrases.name(s.move()) + "." : capital(Phrases.name(s.move())) + ".";
        wishes.add(new CueCandidate(s, CueKind.NEXT, List.of(text), List.of(new Window(s, 0, 0.5)), false, true));
    }

    /** What comes at segment {@code i}, which moves. */
    void of(int i, List<CueCandidate> wishes) {
        Segment s = segments.get(i);
        Segment last = movedBefore(i);
        List<Window> places = places(i);
        boolean gap = i > 0 && !segments.get(i - 1).kind().isMoving();
        if (last == null || !s.move().equals(last.move())) {
            if (places.isEmpty()) {
                return;
            }
            String name = (last == null ? "First, " : CueCandidate.COMING)
                    + (s.isWindow() ? list(s) : Phrases.name(s.move()));
            String amount = s.isWindow() ? "" : amount(s);
            wishes.add(new CueCandidate(
                    s,
                    CueKind.NEXT,
                    List.of(
                            ordinalWords(s) + capital(name) + side(s) + amount + ".",
                            capital(name) + side(s) + amount + ".",
                            capital(name) + side(s) + ".",
                            capital(s.isWindow() ? CueCandidate.COMING + Phrases.name(s.move()) : name) + amount + "."),
                    places,
                    false,
                    true));
        } else if (gap || change(s, last).isPresent()) {
            again(s, last, places, wishes);
        }
        gear(s, places, wishes);
    }

    /** How much of a move: ", eight reps", once for each line of the plan; to those who see no picture always, and ", 40 seconds" too. */
    private String amount(Segment s) {
        boolean voiceOnly = timeline.sheet().header().voiceOnly();
        if (s.reps() == null) {
            return voiceOnly ? ", " + Phrases.time(s.duration()) : "";
        }
        if (!voiceOnly && (s.line() == null || !amountsTold.add(s.line().line()))) {
            return "";
        }
        String reps = s.line() == null
                ? number(s.reps())
                : s.line()
                        .attributes()
                        .over(s.block().attributes())
                        .reps()
                        .map(r -> Phrases.reps(r, s.reps()))
                        .orElse(number(s.reps()));
        int sets = s.block().kind() == BlockKind.STRAIGHT_SETS ? sets(s) : 1;
        return sets > 1
                ? ", " + number(sets) + " sets of " + reps
                : ", " + reps + (reps.equals(number(1)) ? " rep" : " reps");
    }

    /** The moves of a window with how much of each, and how long they are gone through. */
    private String list(Segment s) {
        List<String> moves = new ArrayList<>();
        for (MoveLine line : s.block().moves()) {
            Attributes merged = line.attributes().over(s.block().attributes());
            String much = merged.reps()
                    .map(r -> ", " + number(r.ofSet(1)) + (r.eachSide(merged.sides()) ? " each side" : ""))
                    .or(() -> merged.length(Attribute.HOLD).map(l -> ", " + Phrases.time(l)))
                    .orElse("");
            moves.add(Phrases.name(line.name()) + much);
        }
        return String.join("; ", moves) + "; as many rounds as you can in " + Phrases.time(s.duration());
    }

    /** In the pause before, or before and in the demonstration; else late in what runs then. */
    private List<Window> places(int i) {
        List<Window> places = new ArrayList<>();
        if (i == 0) {
            return places;
        }
        Segment before = segments.get(i - 1);
        if (before.kind() == SegmentKind.DEMO) {
            if (i > 1 && !segments.get(i - 2).kind().isMoving()) {
                places.add(new Window(segments.get(i - 2), 0.1, 1));
            }
            places.add(new Window(before, 0, 0.3));
        } else if (before.kind().isMoving()) {
            places.add(new Window(before, share(before, LATE_SECONDS), 0.92));
            places.add(new Window(before, share(before, EARLY_SECONDS), 0.92));
            // Between calls there may be no room: then as it begins, which is better than never.
            places.add(new Window(segments.get(i), 0, 0.2));
        } else if (before.kind() != SegmentKind.SWITCH) {
            places.add(new Window(before, 0, 1));
        }
        return places;
    }

    /** Where the last {@code seconds} of a stretch begin, not before its middle. */
    private static double share(Segment s, double seconds) {
        return Math.max(0.5, 1 - seconds / s.duration().seconds());
    }

    /** The same move once more: what is different, which set it is, which side. */
    private void again(Segment s, Segment last, List<Window> places, List<CueCandidate> wishes) {
        List<String> texts = new ArrayList<>();
        String change = change(s, last).orElse("");
        if (isOtherSide(s, last)) {
            texts.add("Same again" + side(s) + ".");
        } else if (!change.isEmpty()) {
            texts.add(capital(Phrases.name(s.move())) + side(s) + ", now " + change + ".");
            texts.add("Now " + change + ".");
        } else if (s.set() != null && s.set() > 1) {
            int sets = sets(s);
            boolean final_ = s.set() == sets;
            texts.add((final_ ? "Last set" : "Set " + number(s.set()) + " of " + number(sets)) + side(s) + ".");
        } else {
            String round = ordinalWords(s);
            texts.add(round + "Same again" + side(s) + ".");
        }
        wishes.add(new CueCandidate(s, CueKind.NEXT, texts, places, false, true));
    }

    private int sets(Segment s) {
        return segments.stream()
                .filter(o -> o.line() != null && o.line().line() == s.line().line() && o.set() != null)
                .mapToInt(Segment::set)
                .max()
                .orElse(1);
    }

    /** What is different from the last time, where the move is the same; empty for nothing. */
    private Optional<String> change(Segment s, Segment last) {
        if (s.line() == null || last.line() == null || isOtherSide(s, last)) {
            return Optional.empty();
        }
        Attributes now = s.line().attributes().over(s.block().attributes());
        Attributes then = last.line().attributes().over(last.block().attributes());
        List<String> changes = new ArrayList<>();
        if (now.sides() != then.sides() && s.line().line() != last.line().line()) {
            changes.add(
                    switch (now.sides()) {
                        case NONE -> "both sides together";
                        case ALTERNATE -> "alternating sides";
                        default -> "one side at a time";
                    });
        }
        if (!s.position().equals(last.position())) {
            changes.add(s.position().isEmpty() ? "as usual" : s.position().replace('-', ' '));
        }
        if (!now.tempo().equals(then.tempo())) {
            boolean down = s.wholeMove(library).map(Move::startsDown).orElse(true);
            now.tempo().ifPresent(t -> changes.add(Phrases.tempo(t, down)));
        }
        if (now.has(Attribute.HOLD) && !then.has(Attribute.HOLD)) {
            changes.add("held still");
        }
        if (s.reps() != null && last.reps() != null && !s.reps().equals(last.reps()) && s.way() != SideWay.HALVES) {
            changes.add(number(s.reps()) + " reps");
        }
        return changes.isEmpty() ? Optional.empty() : Optional.of(Wordings.list(changes));
    }

    /** Round and last move are named where they begin. */
    private String ordinalWords(Segment s) {
        boolean firstOfRound = s.kind() == SegmentKind.WORK
                && s.round() != null
                && s.round() > 1
                && s.block().kind() == BlockKind.CIRCUIT
                && !s.block().moves().isEmpty()
                && s.line() != null
                && s.line().line() == s.block().moves().get(0).line();
        if (!firstOfRound) {
            return "";
        }
        int rounds = roundsByBlock.getOrDefault(s.block().slug(), 1);
        return s.round() == rounds ? "Last round. " : "Round " + number(s.round()) + " of " + number(rounds) + ". ";
    }

    /** What to pick up or put down, said once where it changes. */
    private void gear(Segment s, List<Window> places, List<CueCandidate> wishes) {
        List<GearItem> wanted = GearList.of(s, library, timeline.sheet().header()).stream()
                .filter(GearItem::isHeld)
                .toList();
        List<String> names = wanted.stream().map(GearItem::spoken).toList();
        List<String> before = held.stream().map(GearItem::spoken).toList();
        if (!names.equals(before) && s.kind() != SegmentKind.COOLDOWN) {
            List<String> parts = new ArrayList<>();
            boolean aside = s.moves(library).stream().anyMatch(Move::travels);
            held.stream().filter(h -> !has(wanted, h)).forEach(h -> parts.add(putDown(h, aside)));
            for (GearItem w : wanted) {
                if (!has(held, w)) {
                    parts.add(pickUp(w));
                } else if (!before.contains(w.spoken())) {
                    parts.add(w.pair() ? "take the second " + w.name() : "put one " + w.name() + " down");
                }
            }
            if (!parts.isEmpty() && !places.isEmpty()) {
                // Said while something else is still done, it is for afterwards.
                boolean busy = places.get(0).segment().kind().isMoving();
                String what = String.join(" and ", parts) + ".";
                String text = busy ? CueCandidate.AFTERWARDS + what : capital(what);
                wishes.add(CueCandidate.of(s, CueKind.GEAR, text, places));
            }
        }
        held = wanted;
    }

    private static boolean has(List<GearItem> items, GearItem item) {
        return items.stream().anyMatch(i -> i.name().equals(item.name()));
    }

    private static String putDown(GearItem item, boolean aside) {
        return item.isBand()
                ? "take off the " + item.spoken()
                : aside && item.isWeight()
                        ? "put the " + item.spoken() + " out of the way"
                        : "put down the " + item.spoken();
    }

    private static String pickUp(GearItem item) {
        String load = Load.parse(item.weight()).map(Load::shown).orElse(item.weight());
        String name = load.isEmpty()
                ? item.spoken()
                : load.matches("light|medium|heavy") ? load + " " + item.spoken() : item.spoken() + ", " + load;
        return (item.isBand() ? "put on the " : "take the ") + name;
    }

    String side(Segment s) {
        boolean free = timeline.sheet().header().start() == Attribute.StartSide.FREE;
        boolean one = s.side() == Side.LEFT || s.side() == Side.RIGHT;
        if (free || !one) {
            return "";
        }
        return ", " + s.side().spoken(timeline.sheet().header().mirrored()) + " side";
    }
}
