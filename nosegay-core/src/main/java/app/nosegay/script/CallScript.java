package app.nosegay.script;

import static app.nosegay.script.Wordings.capital;
import static app.nosegay.script.Wordings.number;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Tempos;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.CallStyle;
import app.nosegay.plan.terms.Counts;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The calls the chosen style asks for, each at its second. CallScript due within 1.5 s of each other merge (docs/domain.md). */
final class CallScript {
    /** CallScript nearer to each other than this are one; the more important stays. */
    private static final Length MERGE = Length.ofMillis(1500);
    /** A half-way call needs an interval long enough that half of it is worth knowing. */
    private static final Length LEAST_FOR_HALF = Length.ofSeconds(25);
    /** A seconds-left call is only news when no more than this share of the interval is left. */
    private static final double MOST_SHARE_LEFT = 0.6;
    /** Longer intervals get their minutes called. */
    private static final Length LONG = Length.ofSeconds(150);
    /** The word that starts a set is said out first. */
    private static final Length GO = Length.ofMillis(500);
    /** Fewer reps need no "last two". */
    private static final int LEAST_REPS = 5;

    private final Timeline timeline;
    private final MoveLibrary library;
    private final SpeechRate rate;
    private final SpeechStyle said;
    /** The calls of the block at hand: its own, else the workout's. */
    private CallStyle style;

    private final List<Due> due = new ArrayList<>();

    private CallScript(Timeline timeline, MoveLibrary library, ScriptNotes notes) {
        this.timeline = timeline;
        this.library = library;
        this.rate = notes.rate();
        this.said = notes.style();
        this.style = timeline.sheet().header().calls();
    }

    /** Which call stays when two are due at once, the first over the last. */
    private enum Rank {
        SWITCH,
        START,
        END,
        COUNT,
        PHRASE,
        SECONDS_LEFT,
        HALF_WAY
    }

    private record Due(Rank rank, Segment segment, CueKind kind, String text, Time<Axis.Plan> at) {}

    /** The calls in order of time; none overlap. */
    static List<ScriptLine> of(Timeline timeline, MoveLibrary library, ScriptNotes notes) {
        CallScript calls = new CallScript(timeline, library, notes);
        List<Interval> intervals = timeline.intervals();
        for (int i = 0; i < intervals.size(); i++) {
            if (intervals.get(i).kind().isMoving()) {
                calls.style = intervals
                        .get(i)
                        .first()
                        .block()
                        .attributes()
                        .calls()
                        .orElse(timeline.sheet().header().calls());
                calls.interval(
                        intervals.get(i),
                        i > 0 ? intervals.get(i - 1) : null,
                        i + 1 < intervals.size() ? intervals.get(i + 1) : null);
            }
        }
        return calls.merged();
    }

    private void interval(Interval interval, Interval before, Interval next) {
        Segment first = interval.first();
        boolean straightOn = before != null && before.kind().isMoving();
        Length countIn = Length.ofSeconds(style.countIn());
        if (style.countIn() > 0
                && !straightOn
                && before != null
                && before.length().compareTo(countIn) >= 0) {
            add(
                    Rank.COUNT,
                    before.last(),
                    CueKind.COUNT,
                    Wordings.countdown(style.countIn()),
                    interval.start().minus(countIn));
        }
        boolean sideChange = straightOn
                && before.last().move() != null
                && before.last().move().equals(first.move())
                && first.side() != before.last().side()
                && (first.side() == Side.LEFT || first.side() == Side.RIGHT);
        add(
                sideChange ? Rank.SWITCH : Rank.START,
                first,
                CueKind.TIME,
                sideChange && sidesSpoken()
                        ? "Now the " + spoken(first.side()) + "."
                        : sideChange ? "Other side." : said.start(),
                interval.start());
        if (endsByReps(interval)) {
            repsLeft(interval);
        } else {
            time(interval);
        }
        if (next != null && !next.kind().isMoving()) {
            String word = next.kind() != SegmentKind.TALK
                    ? next.kind() == SegmentKind.DEMO ? "And stop." : said.rest()
                    : Talk.isClosing(timeline, next.first()) ? "Well done." : said.rest();
            add(Rank.END, next.first(), CueKind.TIME, word, interval.end());
        }
        sideChanges(interval);
        interval.segments().forEach(this::phrase);
    }

    /** The parts of a counted phrase are said as they begin; what comes next in it, just before. */
    private void phrase(Segment s) {
        Attributes merged = s.line() == null
                ? Attributes.NONE
                : s.line().attributes().over(s.block().attributes());
        Counts counts = merged.counts().orElse(null);
        if (counts == null || counts.parts().size() < 2) {
            return;
        }
        boolean down = s.wholeMove(library).map(Move::startsDown).orElse(true);
        String manner = "";
        for (Counts.Part part : counts.parts()) {
            String now = Counts.manner(part.text());
            String text = Phrases.counts(part, down);
            if (!text.isEmpty() && !now.equals(manner)) {
                Time<Axis.Plan> at = s.start().plus(s.duration().times((double) part.from() / counts.counts()));
                Length early = rate.toSay(text, true);
                add(Rank.PHRASE, s, CueKind.COUNT, text, part.from() == 0 ? at.plus(GO) : at.minus(early));
            }
            manner = now;
        }
    }

    private static boolean endsByReps(Interval interval) {
        Segment s = interval.first();
        if (s.reps() == null || s.line() == null) {
            return false;
        }
        Attributes merged = s.line().attributes().over(s.block().attributes());
        boolean clock = s.line().attributes().has(Attribute.WORK)
                || (merged.has(Attribute.WORK)
                        && s.block().kind() != BlockKind.SUPERSET
                        && s.line().attributes().reps().isEmpty());
        return !clock && !merged.has(Attribute.COUNTS);
    }

    /** A set that ends at its reps: the last two are called, once per side. */
    private void repsLeft(Interval interval) {
        for (Segment s : interval.segments()) {
            if (s.reps() != null && s.reps() >= LEAST_REPS) {
                Length two = Tempos.rep(s, library).times(2);
                add(Rank.SECONDS_LEFT, s, CueKind.TIME, "Last two.", s.end().minus(two));
            }
        }
    }

    private void time(Interval interval) {
        Length length = interval.length();
        boolean compound = interval.first().block().kind() == BlockKind.BUILD
                && interval.first().line() != null
                && interval.first().line().parts().size() > 1
                && interval.first().move().contains("+");
        if ((style.half() || compound)
                && length.compareTo(LEAST_FOR_HALF) >= 0
                && interval.segments().size() == 1) {
            // A promised call: whoever stays on one half of a compound is told when to change.
            String text = compound ? "Half-way, change if you like." : "Half-way.";
            add(
                    Rank.HALF_WAY,
                    interval.first(),
                    CueKind.TIME,
                    text,
                    interval.start().plus(length.times(0.5)));
        }
        minutesLeft(interval);
        for (int seconds : style.secondsLeft()) {
            boolean news = seconds <= length.seconds() * MOST_SHARE_LEFT && seconds > style.countOut() + 1;
            if (news) {
                String text = capital(number(seconds)) + " seconds.";
                add(
                        Rank.SECONDS_LEFT,
                        interval.last(),
                        CueKind.TIME,
                        text,
                        interval.end().minus(Length.ofSeconds(seconds)));
            }
        }
        if (style.countOut() > 0 && length.seconds() > 3 * style.countOut()) {
            Length out = Length.ofSeconds(style.countOut());
            add(
                    Rank.COUNT,
                    interval.last(),
                    CueKind.COUNT,
                    Wordings.countdown(style.countOut()),
                    interval.end().minus(out));
        }
    }

    private void minutesLeft(Interval interval) {
        Length length = interval.length();
        if (length.compareTo(LONG) >= 0) {
            for (int minutes = 1; minutes * 60.0 < length.seconds() * 0.45; minutes++) {
                String text = minutes == 1 ? "One minute left." : capital(number(minutes)) + " minutes left.";
                add(
                        Rank.SECONDS_LEFT,
                        interval.last(),
                        CueKind.TIME,
                        text,
                        interval.end().minus(Length.ofSeconds(60.0 * minutes)));
            }
        }
    }

    private void sideChanges(Interval interval) {
        for (int k = 1; k < interval.segments().size(); k++) {
            Segment s = interval.segments().get(k);
            if (s.kind() == SegmentKind.SWITCH) {
                Segment after = interval.segments().get(k + 1);
                String text = sidesSpoken() ? "Switch to the " + spoken(after.side()) + "." : "Switch sides.";
                add(Rank.SWITCH, s, CueKind.TIME, text, s.start());
                add(Rank.START, after, CueKind.TIME, said.start(), after.start());
            } else if (s.kind().isMoving()
                    && interval.segments().get(k - 1).kind().isMoving()) {
                add(
                        Rank.SWITCH,
                        s,
                        CueKind.TIME,
                        sidesSpoken() ? "Now the " + spoken(s.side()) + "." : "Other side.",
                        s.start());
            }
        }
    }

    /** With the viewer's choice of side nobody names sides, nor does who says "other side". */
    private boolean sidesSpoken() {
        return said.namesSides() && timeline.sheet().header().start() != Attribute.StartSide.FREE;
    }

    private String spoken(Side side) {
        return side.spoken(timeline.sheet().header().mirrored());
    }

    private void add(Rank rank, Segment segment, CueKind kind, String text, Time<Axis.Plan> at) {
        if (at.micros() >= 0) {
            due.add(new Due(rank, segment, kind, text, at));
        }
    }

    private Length spokenTime(Due d) {
        return d.rank() == Rank.COUNT
                ? Length.ofSeconds(d.text().split(",").length)
                : rate.toSay(d.text(), d.segment().kind().isMoving());
    }

    private List<ScriptLine> merged() {
        List<Due> byRank = new ArrayList<>(due);
        byRank.sort(Comparator.comparing(Due::rank).thenComparing(Due::at));
        java.util.TreeMap<Long, ScriptLine> kept = new java.util.TreeMap<>();
        for (Due d : byRank) {
            ScriptLine line = new ScriptLine(d.segment().id(), d.kind(), d.text(), d.at(), spokenTime(d));
            var before = kept.floorEntry(d.at().micros());
            var after = kept.ceilingEntry(d.at().micros());
            // The word that starts an interval may follow its own count at once.
            Length room =
                    d.rank() == Rank.COUNT || d.rank() == Rank.START || d.rank() == Rank.END || d.rank() == Rank.PHRASE
                            ? Length.ZERO
                            : MERGE;
            boolean free = (before == null
                            || !line.start().isBefore(before.getValue().end())
                                    && line.start()
                                                    .since(before.getValue().start())
                                                    .compareTo(room)
                                            >= 0)
                    && (after == null
                            || !after.getValue().start().isBefore(line.end())
                                    && after.getValue()
                                                    .start()
                                                    .since(line.start())
                                                    .compareTo(room)
                                            >= 0);
            if (free) {
                kept.put(d.at().micros(), line);
            }
        }
        return List.copyOf(kept.values());
    }
}
