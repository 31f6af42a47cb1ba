package app.nosegay.review;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Moment;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheet.LevelLine;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.review.said.HeardCall;
import app.nosegay.script.CuePlan;
import app.nosegay.script.Wordings;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

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

    private static final Pattern SECONDS = Pattern.compile("(\\d+|five|ten|fifteen|twenty|thirty)[- ]seconds?");

    private final Timeline timeline;
    private final Match match;
    private final List<HeardCall> calls;
    private final Map<String, Segment> byId = new HashMap<>();
    private final List<Finding> findings = new ArrayList<>();
    private final List<Misstatement> misstatements = new ArrayList<>();

    private CallCheck(Timeline timeline, Match match, List<HeardCall> calls) {
        this.timeline = timeline;
        this.match = match;
        this.calls = calls;
        timeline.segments().forEach(s -> byId.put(s.id(), s));
    }

    static ReviewResult check(
            Timeline timeline, CuePlan cues, Match match, List<TakeEvidence> takes, List<HeardCall> calls) {
        CallCheck check = new CallCheck(timeline, match, calls);
        for (HeardCall c : calls) {
            check.off(c);
            check.name(c);
            check.promise(c);
        }
        MissedCalls.of(timeline, cues, match, takes, calls).forEach(check::missing);
        return new ReviewResult(check.findings, check.misstatements);
    }

    private Finding add(String code, Severity severity, String segment, String message, String fix, Moment moment) {
        Segment s = segment == null ? null : byId.get(segment);
        Finding f = (s == null ? Finding.of(code, severity, message) : Finding.at(code, severity, s, message))
                .withFix(fix)
                .withMoment(moment);
        findings.add(f);
        return f;
    }

    private Finding add(String code, Severity severity, HeardCall c, String message, String fix) {
        return add(code, severity, c.segment(), message, fix, moment(c));
    }

    /** Where it is said, and when it would have been true where that is a matter of time. */
    private static Moment moment(HeardCall c) {
        Time<Axis.Take> start = c.call().time();
        Moment said =
                new Moment(c.take(), new Span<>(start, Time.max(start, c.call().end())));
        return switch (c.call().kind()) {
            case SECONDS_LEFT, HALF_WAY, COUNT_IN, COUNT_OUT ->
                c.error() == null ? said : said.due(start.minus(Length.ofSeconds(c.error())));
            default -> said;
        };
    }

    private static String place(HeardCall c) {
        return CoreText.of("review.call-check.at-of", c.call().text(), c.call().time(), c.take());
    }

    private void off(HeardCall c) {
        Call call = c.call();
        if (c.error() == null || c.segment() == null && call.kind() != CallKind.TOTAL) {
            return;
        }
        String is = wrong(c);
        if (is == null) {
            return;
        }
        if (isCorrected(c)) {
            add(
                    "match.call-corrected",
                    Severity.NOTE,
                    c,
                    CoreText.of("match.call-corrected.message", place(c), is),
                    null);
            return;
        }
        boolean number =
                call.kind() == CallKind.ORDINAL || call.kind() == CallKind.TOTAL || call.kind() == CallKind.ROUNDS_LEFT;
        Finding f = number
                ? add(
                        "match.wrong-number",
                        Severity.FIX,
                        c,
                        place(c) + ": " + is + ".",
                        CoreText.of("match.wrong-number.fix"))
                : add("match.call-off", Severity.FIX, c, place(c) + ": " + is + ".", CoreText.of("match.call-off.fix"));
        misstatement(f, c, right(c));
    }

    private boolean isCorrected(HeardCall c) {
        Call call = c.call();
        return calls.stream()
                .anyMatch(o -> o != c
                        && o.take().equals(c.take())
                        && o.call().kind() == call.kind()
                        && o.error() != null
                        && Math.abs(o.error()) < Math.abs(c.error()) / 2
                        && o.call().time().isAfter(call.time())
                        && o.call().time().since(call.time()).seconds() < CORRECTED);
    }

    /** What is true instead of a call; null where the call is right enough. */
    private String wrong(HeardCall c) {
        Call call = c.call();
        double error = Math.abs(c.error());
        double truth = c.truth();
        boolean ofInterval = "interval".equals(call.of());
        return switch (call.kind()) {
            case SECONDS_LEFT, COUNT_IN, COUNT_OUT ->
                error > Math.max(OFF_SECONDS, OFF_SHARE * call.value()) && !stopsCounting(c)
                        ? CoreText.of("review.call-check.s-are-left", truth)
                        : null;
            case HALF_WAY ->
                error
                                > (ofInterval
                                        ? OFF_HALF
                                        : OFF_HALF_WORKOUT * timeline.total().seconds())
                        ? CoreText.of(
                                "review.call-check.half-is-s",
                                truth > 0
                                        ? CoreText.of("review.call-check.still-to-come-in")
                                        : CoreText.of("review.call-check.past-by"),
                                Math.abs(truth))
                        : null;
            case REPS_LEFT -> error >= 2 ? CoreText.of("review.call-check.reps-follow", truth) : null;
            case LAST_REP -> truth >= 3 ? CoreText.of("review.call-check.reps-follow", truth) : null;
            case ROUNDS_LEFT -> error >= 1 ? CoreText.of("review.call-check.are-left", truth) : null;
            case ORDINAL -> error >= 1 ? CoreText.of("review.call-check.it-is-number", truth) : null;
            case TOTAL -> error >= 1 ? CoreText.of("review.call-check.the-plan-has", truth) : null;
            case SWITCH_SIDE -> error > OFF_BOUNDARY ? CoreText.of("review.call-check.no-change-of-side-is") : null;
            case REST ->
                error > OFF_BOUNDARY && byId.get(c.segment()).kind() == SegmentKind.WORK
                        ? CoreText.of("review.call-check.work-goes-on")
                        : null;
            default -> null;
        };
    }

    private void misstatement(Finding finding, HeardCall c, String show) {
        misstatements.add(new Misstatement(
                finding,
                c.take(),
                new Span<>(c.call().time(), Time.max(c.call().time(), c.call().end())),
                c.call().text(),
                show.isEmpty() ? "" : Wordings.capital(show) + ".",
                show));
    }

    /** What would have been true, in a word or two; empty where there is nothing better to say. */
    private static String right(HeardCall c) {
        long truth = Math.round(c.truth());
        String of = c.call().of() == null ? "" : c.call().of().replace('-', ' ');
        return switch (c.call().kind()) {
            case SECONDS_LEFT -> CoreText.of("review.call-check.seconds-left", truth);
            case REPS_LEFT, LAST_REP ->
                truth
                        + (truth == 1
                                ? CoreText.of("review.call-check.rep-left")
                                : CoreText.of("review.call-check.reps-left"));
            case ROUNDS_LEFT ->
                truth
                        + (truth == 1
                                ? CoreText.of("review.call-check.round-left")
                                : CoreText.of("review.call-check.rounds-left"));
            case ORDINAL -> (of.isEmpty() ? CoreText.of("review.call-check.number") : of + " ") + truth;
            case TOTAL ->
                of.contains(" ")
                        ? CoreText.of(
                                "review.call-check.of",
                                truth,
                                of.substring(of.indexOf(' ') + 1),
                                of.substring(0, of.indexOf(' ')))
                        : truth + " " + of;
            default -> "";
        };
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
        Segment here = byId.get(c.segment());
        boolean moving = here.kind().isMoving();
        String now = moving ? here.move() : null;
        Segment coming = match.segments().stream()
                .filter(p -> c.take().equals(p.take())
                        && p.start().compareTo(moving ? at.end() : at.start()) >= 0
                        && byId.get(p.id()).kind().isMoving()
                        && !byId.get(p.id()).move().equals(now))
                .min(Comparator.comparing(Match.Placed::start))
                .map(p -> byId.get(p.id()))
                .orElse(null);
        String next = coming == null ? null : coming.move();
        boolean planned = timeline.workMoves(true).stream().anyMatch(m -> alike(m, call.of()))
                || timeline.segments().stream().anyMatch(s -> s.move() != null && alike(s.move(), call.of()));
        boolean right = next == null
                || alike(next, call.of())
                || Stream.of(here, coming).flatMap(CallCheck::named).anyMatch(n -> alike(n, call.of()));
        if (!right && planned) {
            Finding f = add(
                    "match.wrong-name",
                    Severity.FIX,
                    c,
                    CoreText.of("match.wrong-name.message", place(c), call.of(), next),
                    CoreText.of("match.wrong-name.fix"));
            misstatement(f, c, CoreText.of("review.call-check.next", next));
        }
    }

    /** What may be named in a segment: what is done in it, also in a rest, and what other levels do. */
    private static Stream<String> named(Segment s) {
        Stream<String> levels =
                s.line() == null ? Stream.empty() : s.line().levels().stream().map(LevelLine::move);
        return Stream.concat(Stream.of(s).map(Segment::move), levels).filter(Objects::nonNull);
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
                    c,
                    CoreText.of("match.promise-broken.message", place(c)),
                    CoreText.of("match.promise-broken.fix"));
        }
    }

    private void missing(MissedCalls.Due due) {
        Segment s = byId.get(due.segment());
        Time<Axis.Take> at = Time.ofSeconds(due.at());
        Finding f = add(
                "match.call-missing",
                Severity.LOOK,
                s.id(),
                CoreText.of("match.call-missing.message", due.words(), s.move()),
                CoreText.of("match.call-missing.fix"),
                Moment.at(due.parts().get(0).take(), at).due(at));
        misstatements.add(new Misstatement(f, due.parts().get(0).take(), new Span<>(at, at), "", due.line(), ""));
    }
}
