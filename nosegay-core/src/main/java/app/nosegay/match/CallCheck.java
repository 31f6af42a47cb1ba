package app.nosegay.match;

import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Timeline;
import app.nosegay.transcript.Call;
import app.nosegay.transcript.CallKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Spoken calls against the truth, promised calls that were never made, names of other moves. */
final class CallCheck {
    /** A call may be this far off, in seconds; a larger figure is said less exactly. */
    private static final double OFF_SECONDS = 1.6;

    private static final double OFF_SHARE = 0.1;
    /** "Half-way" of an interval. */
    private static final double OFF_HALF = 3;
    /** "Half-way" of the workout, as a share of it. */
    private static final double OFF_HALF_WORKOUT = 0.12;
    /** "Rest" or "switch" this far from any end of work or change of side. */
    private static final double OFF_BOUNDARY = 4;
    /** A slip that is put right within this time is only noted, in seconds. */
    private static final double CORRECTED = 5;
    /** Of the calls a style promises, people leave out some; one is told where it was scripted. */
    private static final double NEAR_SCRIPT = 5;

    private static final Pattern SECONDS = Pattern.compile("(\\d+|five|ten|fifteen|twenty|thirty)[- ]seconds?");

    private final Timeline timeline;
    private final Match match;
    private final List<TakeEvidence> takes;
    private final List<HeardCall> calls;
    private final Map<String, Segment> byId = new HashMap<>();
    private final List<Finding> findings = new ArrayList<>();

    private CallCheck(Timeline timeline, Match match, List<TakeEvidence> takes, List<HeardCall> calls) {
        this.timeline = timeline;
        this.match = match;
        this.takes = takes;
        this.calls = calls;
        timeline.segments().forEach(s -> byId.put(s.id(), s));
    }

    static List<Finding> findings(
            Timeline timeline, Match match, List<TakeEvidence> takes, List<HeardCall> calls, List<SaidLine> said) {
        CallCheck check = new CallCheck(timeline, match, takes, calls);
        for (HeardCall c : calls) {
            check.off(c);
            check.name(c);
            check.promise(c);
        }
        check.never();
        return check.findings;
    }

    private void add(String code, Severity severity, String segment, String message, String fix) {
        Segment s = segment == null ? null : byId.get(segment);
        Finding f = s == null ? Finding.of(code, severity, message) : Finding.at(code, severity, s, message);
        findings.add(f.withFix(fix));
    }

    private static String place(HeardCall c) {
        return "\"" + c.call().text() + "\" at " + c.call().time() + " of " + c.take();
    }

    private void off(HeardCall c) {
        Call call = c.call();
        if (c.error() == null || c.segment() == null && call.kind() != CallKind.TOTAL) {
            return;
        }
        double error = Math.abs(c.error());
        double truth = c.truth();
        String is =
                switch (call.kind()) {
                    case SECONDS_LEFT, COUNT_IN, COUNT_OUT ->
                        error > Math.max(OFF_SECONDS, OFF_SHARE * call.value()) && !stopsCounting(c)
                                ? String.format(Locale.ROOT, "%.0f s are left", truth)
                                : null;
                    case HALF_WAY ->
                        error
                                        > ("interval".equals(call.of())
                                                ? OFF_HALF
                                                : OFF_HALF_WORKOUT
                                                        * timeline.total().seconds())
                                ? String.format(
                                        Locale.ROOT,
                                        "half is %s %.0f s",
                                        truth > 0 ? "still to come in" : "past by",
                                        Math.abs(truth))
                                : null;
                    case REPS_LEFT -> error >= 2 ? String.format(Locale.ROOT, "%.0f reps follow", truth) : null;
                    case LAST_REP -> truth >= 3 ? String.format(Locale.ROOT, "%.0f reps follow", truth) : null;
                    case ROUNDS_LEFT -> error >= 1 ? String.format(Locale.ROOT, "%.0f are left", truth) : null;
                    case ORDINAL -> error >= 1 ? String.format(Locale.ROOT, "it is number %.0f", truth) : null;
                    case TOTAL -> error >= 1 ? String.format(Locale.ROOT, "the plan has %.0f", truth) : null;
                    case SWITCH_SIDE -> error > OFF_BOUNDARY ? "no change of side is near" : null;
                    case REST ->
                        error > OFF_BOUNDARY && byId.get(c.segment()).kind() == SegmentKind.WORK
                                ? "work goes on"
                                : null;
                    default -> null;
                };
        if (is == null) {
            return;
        }
        boolean corrected = calls.stream()
                .anyMatch(o -> o != c
                        && o.take().equals(c.take())
                        && o.call().kind() == call.kind()
                        && o.error() != null
                        && Math.abs(o.error()) < Math.abs(c.error()) / 2
                        && o.call().time().isAfter(call.time())
                        && o.call().time().since(call.time()).seconds() < CORRECTED);
        boolean number =
                call.kind() == CallKind.ORDINAL || call.kind() == CallKind.TOTAL || call.kind() == CallKind.ROUNDS_LEFT;
        if (corrected) {
            add(
                    "match.call-corrected",
                    Severity.NOTE,
                    c.segment(),
                    place(c) + ": " + is + "; put right at once.",
                    null);
        } else if (number) {
            add(
                    "match.wrong-number",
                    Severity.FIX,
                    c.segment(),
                    place(c) + ": " + is + ".",
                    "correct it in the caption and on screen, or record the line again");
        } else {
            add(
                    "match.call-off",
                    Severity.FIX,
                    c.segment(),
                    place(c) + ": " + is + ".",
                    "correct it in the caption and on screen, or record the line again");
        }
    }

    /** A count that was begun late is stopped by the beep, not wrong; only whole counts are compared. */
    private static boolean stopsCounting(HeardCall c) {
        boolean count = c.call().kind() != CallKind.SECONDS_LEFT;
        return count && Math.abs(c.error()) < 2.5;
    }

    /** The name of a move that does not come next. */
    private void name(HeardCall c) {
        Call call = c.call();
        if (call.kind() != CallKind.NEXT_UP || call.of() == null || c.segment() == null) {
            return;
        }
        Match.Placed at = match.segment(c.segment()).orElseThrow();
        boolean moving = byId.get(c.segment()).kind().isMoving();
        List<String> next = new ArrayList<>();
        match.segments().stream()
                .filter(p -> c.take().equals(p.take())
                        && p.start().compareTo(moving ? at.end() : at.start()) >= 0
                        && byId.get(p.id()).kind().isMoving())
                .sorted(java.util.Comparator.comparing(Match.Placed::start))
                .limit(2)
                .forEach(p -> next.add(byId.get(p.id()).move()));
        if (moving) {
            next.add(byId.get(c.segment()).move());
        }
        boolean planned = timeline.workMoves(true).stream().anyMatch(m -> alike(m, call.of()))
                || timeline.segments().stream().anyMatch(s -> s.move() != null && alike(s.move(), call.of()));
        boolean right = next.isEmpty() || next.stream().limit(moving ? 3 : 1).anyMatch(m -> alike(m, call.of()));
        if (!right && planned) {
            add(
                    "match.wrong-name",
                    Severity.FIX,
                    c.segment(),
                    place(c) + " names " + call.of() + "; " + next.get(0) + " comes.",
                    "correct it in the caption and on screen, or record the line again");
        }
    }

    private static boolean alike(String a, String b) {
        String x = a.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", " ").strip();
        String y = b.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", " ").strip();
        return x.equals(y) || x.contains(y) || y.contains(x);
    }

    /** Something undertaken that is never done. */
    private void promise(HeardCall c) {
        if (c.call().kind() != CallKind.PROMISE) {
            return;
        }
        String words = c.call().text().toLowerCase(Locale.ROOT);
        Matcher seconds = SECONDS.matcher(words);
        CallKind kind = words.contains("half") && !words.matches(".*(?:switch|swap|change).*")
                ? CallKind.HALF_WAY
                : words.contains("count") ? CallKind.COUNT_OUT : seconds.find() ? CallKind.SECONDS_LEFT : null;
        boolean kept = kind == null
                || calls.stream()
                        .anyMatch(o -> (o.call().kind() == kind
                                        || kind == CallKind.COUNT_OUT
                                                && o.call().kind() == CallKind.COUNT_IN)
                                && (!o.take().equals(c.take())
                                        || o.call().time().isAfter(c.call().time())));
        if (!kept) {
            add(
                    "match.promise-broken",
                    Severity.FIX,
                    c.segment(),
                    place(c) + " is promised and never done.",
                    "record the calls, or cut the promise");
        }
    }

    /** Calls the workout's style promises, where most were made and one was not. */
    private void never() {
        var style = timeline.sheet().header().calls();
        for (Match.Placed p : match.segments()) {
            Segment s = byId.get(p.id());
            TakeEvidence take = takes.stream()
                    .filter(t -> t.id().equals(p.take()))
                    .findFirst()
                    .orElse(null);
            if (!p.matched()
                    || take == null
                    || take.words().isEmpty()
                    || s.kind() != SegmentKind.WORK
                    || s.reps() != null) {
                continue;
            }
            double length = p.end().since(p.start()).seconds();
            for (int left : style.secondsLeft()) {
                boolean due = left <= 0.6 * length && s.duration().seconds() * 0.6 >= left && !sharesInterval(s);
                if (due
                        && isUsual(CallKind.SECONDS_LEFT, left)
                        && !made(p, CallKind.SECONDS_LEFT, left, p.end().seconds() - left)) {
                    missing(s, left + " seconds");
                }
            }
            if (style.half()
                    && !sharesInterval(s)
                    && isUsual(CallKind.HALF_WAY, 0)
                    && length >= 20
                    && !made(p, CallKind.HALF_WAY, 0, p.start().seconds() + length / 2)) {
                missing(s, "half-way");
            }
        }
    }

    private boolean sharesInterval(Segment s) {
        return timeline.segments().stream()
                        .filter(o -> o.interval().equals(s.interval()))
                        .count()
                > 1;
    }

    private void missing(Segment s, String call) {
        add(
                "match.call-missing",
                Severity.LOOK,
                s.id(),
                "\"" + call + "\" is not called in " + s.move() + ", as it is elsewhere.",
                "show it on screen, or record the line");
    }

    /** Whether this kind of call is made in at least half of the sets. */
    private boolean isUsual(CallKind kind, int value) {
        long sets = match.segments().stream()
                .filter(p -> p.matched()
                        && byId.get(p.id()).kind() == SegmentKind.WORK
                        && byId.get(p.id()).reps() == null)
                .count();
        long made = calls.stream().filter(c -> is(c.call(), kind, value)).count();
        return made * 2 >= sets && made > 1;
    }

    private static boolean is(Call c, CallKind kind, int value) {
        return c.kind() == kind && (kind == CallKind.HALF_WAY || c.value() != null && c.value() == value);
    }

    private boolean made(Match.Placed p, CallKind kind, int value, double at) {
        return calls.stream()
                .anyMatch(c -> c.take().equals(p.take())
                        && is(c.call(), kind, value)
                        && (Math.abs(c.call().time().seconds() - at) < NEAR_SCRIPT + 1.5
                                || p.id().equals(c.segment())));
    }
}
