package app.nosegay.script;

import static app.nosegay.script.Wordings.capital;
import static app.nosegay.script.Wordings.number;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.CallStyle;
import app.nosegay.plan.Interval;
import app.nosegay.plan.RunSheet.Cue;
import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Side;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * Makes the cue plan: calls at their second first, then the other lines in order of priority at the earliest free place of their window
 * (PRODUCT.md section 5, "Cue plan").
 */
public final class CuePlanner {
    /** What every workout says before the first movement. */
    public static final String SCREENING =
            "Ask your doctor or physiotherapist first if you are unsure, and stop at sharp pain or dizziness.";

    private static final Length QUIET_AROUND_CALLS = Length.ofMillis(1500);
    private static final Length BETWEEN_LINES = Length.ofMillis(300);
    /** Under this much work, set-up and options move to the window before (CONTRACTS.md section 5). */
    private static final Length SHORT_WORK = Length.ofSeconds(25);
    /** A half-way call needs an interval long enough that half of it is worth knowing. */
    private static final Length LEAST_FOR_HALF = Length.ofSeconds(25);
    /** A seconds-left call is only news when the interval is clearly longer than what is left. */
    private static final double LEAST_SHARE_BEFORE_CALL = 0.4;

    private final Timeline timeline;
    private final Wordings wordings;
    private final SpeechRate rate;
    private final List<ScriptLine> placed = new ArrayList<>();
    private final List<CuePlan.Left> left = new ArrayList<>();

    private CuePlanner(Timeline timeline, MoveLibrary library, SpeechRate rate) {
        this.timeline = timeline;
        this.wordings = new Wordings(library);
        this.rate = rate;
    }

    public static CuePlan plan(Timeline timeline, MoveLibrary library, SpeechRate rate) {
        CuePlanner planner = new CuePlanner(timeline, library, rate);
        planner.calls();
        for (int i = 0; i < timeline.segments().size(); i++) {
            planner.lines(i);
        }
        planner.placed.sort(Comparator.comparing(ScriptLine::start));
        return new CuePlan(planner.placed, planner.left);
    }

    private void calls() {
        CallStyle style = timeline.sheet().header().calls();
        List<Interval> intervals = timeline.intervals();
        for (int i = 0; i < intervals.size(); i++) {
            Interval interval = intervals.get(i);
            if (!interval.kind().isMoving()) {
                continue;
            }
            boolean moreToCome =
                    i + 1 < intervals.size() && intervals.get(i + 1).kind().isMoving();
            Length countIn = Length.ofSeconds(style.countIn());
            if (style.countIn() > 0
                    && (i == 0 || intervals.get(i - 1).length().compareTo(countIn) >= 0)
                    && !follows(intervals, i)) {
                Segment before = segmentBefore(interval);
                call(
                        before,
                        CueKind.COUNT,
                        Wordings.countdown(style.countIn()),
                        interval.start().minus(countIn));
            }
            call(interval.first(), CueKind.TIME, "Go!", interval.start());
            if (style.half()
                    && interval.length().compareTo(LEAST_FOR_HALF) >= 0
                    && interval.segments().size() == 1) {
                call(
                        interval.first(),
                        CueKind.TIME,
                        "Half-way.",
                        interval.start().plus(interval.length().times(0.5)));
            }
            for (int seconds : style.secondsLeft()) {
                Length before = Length.ofSeconds(seconds);
                boolean news = before.seconds() <= interval.length().seconds() * LEAST_SHARE_BEFORE_CALL
                        && seconds > style.countOut() + 1;
                if (news) {
                    call(
                            interval.last(),
                            CueKind.TIME,
                            capital(number(seconds)) + " seconds.",
                            interval.end().minus(before));
                }
            }
            if (style.countOut() > 0 && interval.length().seconds() > 3 * style.countOut()) {
                call(
                        interval.last(),
                        CueKind.COUNT,
                        Wordings.countdown(style.countOut()),
                        interval.end().minus(Length.ofSeconds(style.countOut())));
            }
            if (!moreToCome && i + 1 < intervals.size()) {
                Segment next = intervals.get(i + 1).first();
                call(next, CueKind.TIME, next.kind() == SegmentKind.REST ? "And rest." : "Well done.", interval.end());
            }
            sideChange(interval);
        }
    }

    /** A move that follows another without a pause is counted out of the one before, not in as well. */
    private static boolean follows(List<Interval> intervals, int i) {
        return i > 0 && intervals.get(i - 1).kind().isMoving();
    }

    private void sideChange(Interval interval) {
        for (int k = 1; k < interval.segments().size(); k++) {
            Segment s = interval.segments().get(k);
            if (s.kind() == SegmentKind.SWITCH) {
                Segment after = interval.segments().get(k + 1);
                call(s, CueKind.TIME, "Switch to the " + spoken(after.side()) + ".", s.start());
                call(after, CueKind.TIME, "Go!", after.start());
            }
        }
    }

    private Segment segmentBefore(Interval interval) {
        int index = timeline.segments().indexOf(interval.first());
        return index == 0 ? interval.first() : timeline.segments().get(index - 1);
    }

    private String spoken(Side side) {
        return side.spoken(timeline.sheet().header().mirrored());
    }

    /** Places a call at its second, in whatever segment runs then. */
    private void call(Segment wanted, CueKind kind, String text, Time<Axis.Plan> at) {
        if (at.micros() < 0) {
            return;
        }
        Segment segment = wanted.span().contains(at)
                ? wanted
                : timeline.segments().stream()
                        .filter(s -> s.span().contains(at))
                        .findFirst()
                        .orElse(wanted);
        Length spoken = kind == CueKind.COUNT
                ? Length.ofSeconds(text.split(",").length)
                : rate.toSay(text, segment.kind().isMoving());
        ScriptLine line = new ScriptLine(segment.id(), kind, text, at, spoken);
        if (placed.stream().noneMatch(other -> other.span().overlaps(line.span()))) {
            placed.add(line);
        }
    }

    private void lines(int i) {
        Segment s = timeline.segments().get(i);
        switch (s.kind()) {
            case TALK -> talk(s, i == 0);
            case REST, DEMO, COUNT_IN -> beforeWork(s, i);
            case WARMUP, WORK, COOLDOWN -> working(s);
            case SWITCH -> {}
        }
    }

    private void talk(Segment s, boolean first) {
        List<Cue> cautions = s.block().cues().stream()
                .filter(c -> c.kind() == CueKind.CAUTION)
                .toList();
        if (first) {
            String title = timeline.sheet().header().title();
            place(s, CueKind.NAME, "Welcome" + (title.isEmpty() ? "." : " to " + title + "."), 0, 1);
            // The screening line comes before everything that can be left out.
            place(
                    s,
                    CueKind.CAUTION,
                    cautions.isEmpty() ? SCREENING : cautions.get(0).text(),
                    0,
                    1);
            int moves = timeline.workMoves(true).size();
            place(
                    s,
                    CueKind.NEXT,
                    capital(number(moves)) + " moves, "
                            + Math.round(timeline.total().seconds() / 60) + " minutes.",
                    0,
                    1);
            List<String> gear = timeline.sheet().header().gear();
            if (!gear.isEmpty()) {
                place(s, CueKind.GEAR, "You need: " + String.join(", ", gear) + ".", 0, 1);
            }
        }
        for (Cue cue : s.block().cues()) {
            if (!first || cautions.isEmpty() || cue != cautions.get(0)) {
                place(s, cue.kind(), cue.text(), 0, 1);
            }
        }
        if (!first && s.block().cues().isEmpty()) {
            place(
                    s,
                    CueKind.CHEER,
                    "That was " + timeline.sheet().header().title() + ". Thank you for moving with me.",
                    0,
                    1);
        }
    }

    private void beforeWork(Segment s, int i) {
        Segment next = i + 1 < timeline.segments().size() ? timeline.segments().get(i + 1) : null;
        if (next == null || !next.kind().isMoving()) {
            return;
        }
        String side = next.side() == Side.BOTH || next.side() == null ? "" : ", " + spoken(next.side()) + " side";
        place(s, CueKind.NEXT, "Next, " + next.move() + side + ".", 0, 1);
        if (next.move().equals(s.teaches())) {
            wordings.first(next, CueKind.SETUP).ifPresent(t -> place(s, CueKind.SETUP, t, 0, 1));
            if (next.duration().compareTo(SHORT_WORK) < 0) {
                wordings.first(next, CueKind.EASIER).ifPresent(t -> place(s, CueKind.EASIER, "Easier: " + t, 0, 1));
            }
        }
    }

    private void working(Segment s) {
        boolean firstTime =
                (s.round() == null || s.round() == 1) && (s.set() == null || s.set() == 1) && !isSecondSide(s);
        List<String> forms = wordings.of(s, CueKind.FORM);
        if (firstTime) {
            forms.stream().findFirst().ifPresent(t -> place(s, CueKind.FORM, t, 0, 0.3));
            if (s.duration().compareTo(SHORT_WORK) >= 0) {
                wordings.first(s, CueKind.EASIER).ifPresent(t -> place(s, CueKind.EASIER, "Easier: " + t, 0.05, 0.45));
            }
            wordings.first(s, CueKind.BREATH).ifPresent(t -> place(s, CueKind.BREATH, t, 0.35, 0.9));
        } else {
            forms.stream().skip(1).findFirst().ifPresent(t -> place(s, CueKind.FORM, t, 0.05, 0.6));
            wordings.first(s, CueKind.IMAGE).ifPresent(t -> place(s, CueKind.IMAGE, t, 0.3, 0.9));
        }
    }

    private boolean isSecondSide(Segment s) {
        return s.side() != Side.BOTH
                && s.side() != timeline.sheet().header().start().side();
    }

    /** Places a line at the earliest free second of its window, given in shares of the segment. */
    private void place(Segment s, CueKind kind, String text, double from, double to) {
        Length spoken = rate.toSay(text, s.kind().isMoving());
        Time<Axis.Plan> earliest = s.start().plus(s.duration().times(from));
        Time<Axis.Plan> latest =
                Time.min(s.start().plus(s.duration().times(to)), s.end().minus(spoken));
        ScriptLine wanted = new ScriptLine(s.id(), kind, text, earliest, spoken);
        Length already = placed.stream()
                .filter(l -> l.segment().equals(s.id()))
                .map(ScriptLine::spoken)
                .reduce(Length.ZERO, Length::plus);
        double share =
                s.kind().isMoving() ? timeline.sheet().header().talkDensity().share() : 1;
        if (already.plus(spoken).compareTo(s.duration().times(share)) > 0) {
            left.add(new CuePlan.Left(
                    wanted, String.format(Locale.ROOT, "needs %.1f s beyond the talk density", spoken.seconds())));
            return;
        }
        Time<Axis.Plan> at = earliest;
        while (!at.isAfter(latest)) {
            ScriptLine line = new ScriptLine(s.id(), kind, text, at, spoken);
            ScriptLine inTheWay = placed.stream()
                    .filter(other -> tooNear(line, other))
                    .findFirst()
                    .orElse(null);
            if (inTheWay == null) {
                placed.add(line);
                return;
            }
            at = inTheWay.end().plus(quiet(inTheWay));
        }
        left.add(new CuePlan.Left(wanted, String.format(Locale.ROOT, "needs %.1f s in one piece", spoken.seconds())));
    }

    private static boolean tooNear(ScriptLine line, ScriptLine other) {
        Length quiet = quiet(other);
        return line.start().isBefore(other.end().plus(quiet))
                && other.start().minus(quiet).isBefore(line.end());
    }

    private static Length quiet(ScriptLine other) {
        return other.isCall() ? QUIET_AROUND_CALLS : BETWEEN_LINES;
    }
}
