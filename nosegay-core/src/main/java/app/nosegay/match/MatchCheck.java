package app.nosegay.match;

import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Side;
import app.nosegay.plan.SideWay;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.transcript.Caption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What differs between plan and recording: the order, the lengths, the sides, the reps, the stretches nobody planned. */
public final class MatchCheck {
    /** A set may be this much shorter or longer than promised before anybody notices: the larger of seconds and share. */
    private static final double LENGTH_SECONDS = 1.5;

    private static final double LENGTH_SHARE = 0.06;
    /** The first movement may be this late. */
    private static final double LATE = 1.0;
    /** The last movement may be this early, in a set that is not counted. */
    private static final double EARLY = 2.0;
    /** Somebody who apologises does so more than once: within this many seconds it is the same slip. */
    private static final double ONE_FLUFF = 15;
    /** Motion alone is off by one rep now and then. */
    private static final int REPS_SURE = 1;

    private static final Pattern SIDE = Pattern.compile(
            "(?i)\\b(left|right)\\b(?= (?:leg|arm|side|foot|hand|knee|elbow|hip|shoulder|first|one))|\\b(?:now|switch|swap|change|over) (?:to )?(?:the |your )?(left|right)\\b");

    private static final Pattern NEXT = Pattern.compile("(?i)^\\W*(?:next|coming up|up next|after this|get ready)\\b");

    private static final Pattern CHANGES = Pattern.compile("(?i)\\b(?:switch|swap|change|other side|over to)\\b");
    /** "Switch to the left" is said a little before it is time to. */
    private static final Length CHANGE_SAID_BEFORE = Length.ofSeconds(3);

    private final Timeline timeline;
    private final Match match;
    private final List<TakeEvidence> takes;
    private final Map<String, Segment> byId = new HashMap<>();
    private final List<Finding> findings = new ArrayList<>();
    private final List<Slip> slips = new ArrayList<>();

    private MatchCheck(Timeline timeline, Match match, List<TakeEvidence> takes) {
        this.timeline = timeline;
        this.match = match;
        this.takes = takes;
        timeline.segments().forEach(s -> byId.put(s.id(), s));
    }

    /** All findings of the match, and what was said wrong; nothing without takes. */
    public static Checked check(
            Timeline timeline,
            CuePlan cues,
            Match match,
            MatchNotes notes,
            List<TakeEvidence> takes,
            List<HeardCall> calls,
            List<SaidLine> said) {
        if (match.takes().isEmpty()) {
            return Checked.NOTHING;
        }
        MatchCheck check = new MatchCheck(timeline, match, takes);
        check.order();
        check.lengths(notes);
        check.sides();
        check.reps();
        check.stretches(notes);
        check.sideWords();
        check.wrongShowings();
        check.findings.addAll(RoundOrder.findings(timeline, match));
        check.findings.addAll(CutLosses.findings(timeline, match, notes, takes, said));
        Checked spoken = CallCheck.check(timeline, cues, match, takes, calls);
        check.findings.addAll(spoken.findings());
        check.slips.addAll(spoken.slips());
        List<VoiceOver> overs = VoiceOver.of(check.slips, match, takes);
        check.mended(overs);
        check.takes(overs);
        check.findings.sort(Comparator.comparing(Finding::severity));
        return new Checked(check.findings, check.slips, overs);
    }

    private Finding add(String code, Severity severity, Segment s, String message, String fix) {
        Finding f = s == null ? Finding.of(code, severity, message) : Finding.at(code, severity, s, message);
        Finding whole = fix == null ? f : f.withFix(fix);
        findings.add(whole);
        return whole;
    }

    private static String seconds(double value) {
        return String.format(Locale.ROOT, "%.1f s", value);
    }

    /** What is said again and laid over is no slip any more. */
    private void mended(List<VoiceOver> overs) {
        for (VoiceOver over : overs) {
            findings.remove(over.slip().finding());
            slips.remove(over.slip());
        }
    }

    private void takes(List<VoiceOver> overs) {
        for (Match.Take t : match.takes()) {
            long lines = overs.stream().filter(o -> o.take().equals(t.id())).count();
            if (lines > 0) {
                add(
                        "match.pick-up-lines",
                        Severity.NOTE,
                        null,
                        t.file() + ": " + lines + (lines == 1 ? " line" : " lines")
                                + " said again in it " + (lines == 1 ? "is" : "are")
                                + " laid over where "
                                + (lines == 1 ? "it was" : "they were") + " wrong.",
                        null);
            } else if (t.foreign()) {
                add(
                        "match.foreign",
                        Severity.STOP,
                        null,
                        t.file() + ": next to nothing in it fits this workout; it is not used.",
                        "take it out, or pin one boundary in it if it is the right recording");
            }
        }
    }

    private void order() {
        Match.Placed before = null;
        for (Match.Placed p : match.segments()) {
            Segment s = byId.get(p.id());
            if (!p.matched()) {
                boolean matters = s.kind() == SegmentKind.WORK
                        || s.kind() == SegmentKind.WARMUP
                        || s.kind() == SegmentKind.COOLDOWN;
                add(
                        "match.missing",
                        matters ? Severity.FIX : Severity.NOTE,
                        s,
                        name(s) + " was not found in the recording.",
                        "film it again, or take it out of the plan");
                continue;
            }
            boolean swapped = before != null
                    && before.take().equals(p.take())
                    && p.start().isBefore(before.start());
            if (swapped && s.kind() == SegmentKind.WORK) {
                add(
                        "match.swapped",
                        Severity.FIX,
                        s,
                        name(s) + " was done before " + name(byId.get(before.id())) + "; the plan has it behind.",
                        "change the order in the plan, or film it again");
            }
            if (s.kind() == SegmentKind.WORK) {
                long repeats = p.others().stream()
                        .filter(o -> o.kind().equals("repeat"))
                        .count();
                if (repeats > 0) {
                    add(
                            "match.repeated",
                            Severity.NOTE,
                            s,
                            name(s) + " was begun " + (repeats + 1) + " times; the last time is used.",
                            null);
                }
                before = p;
            }
        }
    }

    private static String name(Segment s) {
        String what = s.move() == null
                ? s.block().name().isEmpty()
                        ? s.kind().name().toLowerCase(Locale.ROOT)
                        : s.block().name()
                : s.move();
        String side = s.side() == Side.LEFT || s.side() == Side.RIGHT
                ? ", " + s.side().word()
                : "";
        String round =
                s.round() != null ? " (round " + s.round() + ")" : s.set() != null ? " (set " + s.set() + ")" : "";
        return what + side + round;
    }

    private void lengths(MatchNotes notes) {
        for (Interval interval : timeline.intervals()) {
            List<Match.Placed> parts = placed(interval);
            boolean whole = parts.size() == interval.segments().size();
            Segment s = interval.first();
            if (!whole || s.open() || s.kind() == SegmentKind.TALK || s.kind() == SegmentKind.DEMO) {
                continue;
            }
            double recorded = parts.stream()
                    .mapToDouble(p -> p.end().since(p.start()).seconds())
                    .sum();
            double planned = interval.length().seconds();
            double off = recorded - planned;
            double doubt = parts.stream().mapToDouble(Match.Placed::doubt).max().orElse(0);
            boolean told = Math.abs(off) > Math.max(LENGTH_SECONDS, LENGTH_SHARE * planned);
            if (told && notes.rule(s.id()) != LengthRule.CLOCK) {
                boolean work = s.kind().isMoving();
                Severity severity = work && doubt < 0.3 ? Severity.FIX : Severity.LOOK;
                Optional<CutInTwo> cut = CutInTwo.of(match, parts.get(parts.size() - 1));
                String because = cut.map(c -> " " + c.first() + " ends in it, and it goes on in " + c.second() + ".")
                        .orElse("");
                String mend = cut.map(
                                c -> "join " + c.first() + " and " + c.second() + " (page Takes beside the Score)")
                        .orElse(
                                work
                                        ? "trust the clock for it, or change the plan"
                                        : "extend it with a card, or trust the clock");
                add(
                        off < 0 ? "match.short" : "match.long",
                        severity,
                        s,
                        name(s) + " lasts " + seconds(recorded) + ", " + seconds(Math.abs(off))
                                + (off < 0 ? " less" : " more") + " than the " + seconds(planned) + " promised."
                                + because,
                        mend);
            }
            performed(interval, parts);
        }
    }

    private void performed(Interval interval, List<Match.Placed> parts) {
        Segment s = interval.first();
        Match.Placed first = parts.get(0);
        if (!s.kind().isMoving() || first.doubt() > 0.5) {
            return;
        }
        double late = first.performedStart().since(first.start()).seconds();
        if (late > LATE && s.kind() == SegmentKind.WORK) {
            add(
                    "match.late-start",
                    Severity.LOOK,
                    s,
                    name(s) + " starts " + seconds(late) + " after it is announced.",
                    "move its start, or trim it");
        }
        for (int i = 0; i < parts.size(); i++) {
            Segment part = interval.segments().get(i);
            double early = parts.get(i).end().since(parts.get(i).performedEnd()).seconds();
            boolean moves = part.kind() == SegmentKind.WORK || part.kind() == SegmentKind.WARMUP;
            boolean timed = moves && part.reps() == null && !BoundaryHints.isHeld(part.move());
            if (timed && early > Math.max(EARLY, oneRep(part.id()))) {
                add(
                        "match.short-set",
                        Severity.LOOK,
                        part,
                        name(part) + " stops " + seconds(early) + " before its time is up.",
                        "end it earlier, or film it again");
            }
        }
    }

    /** How long a repetition takes, in seconds: nobody begins one that cannot be finished. 0 where too few were found. */
    private double oneRep(String segment) {
        List<Time<Axis.Take>> reps = match.reps().getOrDefault(segment, List.of());
        return reps.size() < 3
                ? 0
                : reps.get(reps.size() - 1).since(reps.get(0)).seconds() / (reps.size() - 1);
    }

    private List<Match.Placed> placed(Interval interval) {
        return interval.segments().stream()
                .flatMap(s -> match.segment(s.id()).stream())
                .filter(Match.Placed::matched)
                .toList();
    }

    /** Left against right of each move in seconds and reps, per round or set. */
    private void sides() {
        Map<String, Map<Side, double[]>> sums = new LinkedHashMap<>();
        Map<String, Segment> first = new HashMap<>();
        for (Match.Placed p : match.segments()) {
            Segment s = byId.get(p.id());
            boolean sided = s.kind() == SegmentKind.WORK
                    && (s.side() == Side.LEFT || s.side() == Side.RIGHT)
                    && s.way() != SideWay.ALTERNATE;
            if (!sided || !p.matched() || s.way() == SideWay.FREE) {
                continue;
            }
            String key = s.block().slug() + "/" + s.move();
            first.putIfAbsent(key, s);
            double[] sum =
                    sums.computeIfAbsent(key, k -> new HashMap<>()).computeIfAbsent(s.side(), k -> new double[2]);
            sum[0] += p.end().since(p.start()).seconds();
            sum[1] += match.reps().getOrDefault(p.id(), List.of()).size();
        }
        sums.forEach((key, by) -> {
            double[] left = by.get(Side.LEFT);
            double[] right = by.get(Side.RIGHT);
            if (left == null || right == null) {
                return;
            }
            Segment s = first.get(key);
            double off = Math.abs(left[0] - right[0]);
            boolean uneven = off > Math.max(LENGTH_SECONDS, LENGTH_SHARE * Math.max(left[0], right[0]));
            boolean reps = s.reps() != null && Math.abs(left[1] - right[1]) > REPS_SURE;
            if (uneven || reps) {
                add(
                        "match.sides-uneven",
                        Severity.FIX,
                        s,
                        String.format(
                                Locale.ROOT,
                                "%s: left %.1f s and %.0f reps, right %.1f s and %.0f reps.",
                                s.move(),
                                left[0],
                                left[1],
                                right[0],
                                right[1]),
                        "trust the clock for both, or film the shorter side again");
            }
        });
    }

    private void reps() {
        Map<String, List<Segment>> rounds = new LinkedHashMap<>();
        for (Match.Placed p : match.segments()) {
            Segment s = byId.get(p.id());
            List<Time<Axis.Take>> found = match.reps().get(p.id());
            if (s.kind() != SegmentKind.WORK || found == null || !p.matched()) {
                continue;
            }
            if (s.reps() != null && Math.abs(found.size() - s.reps()) > REPS_SURE) {
                add(
                        "match.reps",
                        Severity.FIX,
                        s,
                        name(s) + ": " + found.size() + " reps seen, " + s.reps() + " planned.",
                        "change the number in the plan, or tap along to count them");
            }
            if (s.reps() != null) {
                rounds.computeIfAbsent(s.block().slug() + "/" + s.move() + "/" + s.side(), k -> new ArrayList<>())
                        .add(s);
            }
        }
        rounds.values().forEach(list -> {
            Segment first = list.get(0);
            for (Segment s : list.subList(1, list.size())) {
                int a = match.reps().get(first.id()).size();
                int b = match.reps().get(s.id()).size();
                if (Objects.equals(first.reps(), s.reps()) && Math.abs(a - b) > REPS_SURE) {
                    add(
                            "match.reps-rounds",
                            Severity.LOOK,
                            s,
                            name(s) + ": " + b + " reps, against " + a + " the first time.",
                            null);
                }
            }
        });
    }

    private void stretches(MatchNotes notes) {
        for (CutProposal c : CutProposal.of(match, notes)) {
            if (c.decided() || c.cut() && !c.kind().equals("after the end")) {
                continue;
            }
            Segment at = byId.get(nearest(c.take(), c.span()));
            String where = " at " + c.span().start() + " of " + c.take() + " ("
                    + seconds(c.span().length().seconds()) + ")";
            switch (c.kind()) {
                case "dead air" ->
                    add("match.dead-air", Severity.LOOK, at, "Nothing is said or done" + where + ".", "cut it");
                case "unplanned" ->
                    add(
                            "match.unplanned",
                            Severity.LOOK,
                            at,
                            "Something is done that nobody planned" + where + ".",
                            "cut it, or add it to the plan");
                case "interruption" ->
                    add(
                            "match.interruption",
                            Severity.NOTE,
                            at,
                            "The workout pauses" + where + ".",
                            "cut it, or keep it as a water break");
                case "after the end" -> timerLeftOn(c);
                default -> {
                    // fluffs and first tries are cut already
                }
            }
        }
        for (TakeEvidence take : takes) {
            fluffsLeftIn(take);
        }
    }

    private void timerLeftOn(CutProposal c) {
        TakeEvidence take =
                takes.stream().filter(t -> t.id().equals(c.take())).findFirst().orElseThrow();
        long beeps = take.beeps().stream()
                .filter(b -> b.time().since(c.span().start()).seconds() > 1.5)
                .count();
        if (beeps >= 2) {
            add(
                    "match.timer-left-on",
                    Severity.NOTE,
                    null,
                    "The timer beeps " + beeps + " more times after the end of " + c.take() + ".",
                    "end the programme before it");
        }
    }

    private void fluffsLeftIn(TakeEvidence take) {
        Time<Axis.Take> told = null;
        for (Caption c : take.words()) {
            boolean again = told != null && c.start().since(told).seconds() < ONE_FLUFF;
            if (!Stretches.isFluff(c.text())) {
                continue;
            }
            told = c.start();
            if (again) {
                continue;
            }
            match.segments().stream()
                    .filter(p -> take.id().equals(p.take())
                            && !c.start().isBefore(p.start())
                            && c.start().isBefore(p.end()))
                    .findFirst()
                    .ifPresent(p -> add(
                            "match.fluff",
                            Severity.LOOK,
                            byId.get(p.id()),
                            "\"" + c.text() + "\" at " + c.start() + " of " + take.id() + " is left in.",
                            "cut it, or use another take"));
        }
    }

    private void wrongShowings() {
        for (TakeEvidence take : takes) {
            for (WrongShowing w : WrongShowing.in(take)) {
                String at = nearest(take.id(), w.span());
                if (at != null) {
                    add(
                            "match.wrong-showing",
                            Severity.NOTE,
                            byId.get(at),
                            "\"" + w.words() + "\" at " + w.span().start() + " of " + take.id()
                                    + ": a mistake shown on purpose is no rep and never the cover.",
                            null);
                }
            }
        }
    }

    private String nearest(String take, Span<Axis.Take> span) {
        String best = null;
        for (Match.Placed p : match.segments()) {
            if (take.equals(p.take()) && !p.start().isAfter(span.start())) {
                best = p.id();
            }
        }
        return best;
    }

    /** A side word against the side that works, as the workout says sides. */
    private void sideWords() {
        boolean mirrored = timeline.sheet().header().mirrored();
        for (TakeEvidence take : takes) {
            for (Match.Placed p : match.segments()) {
                Segment s = byId.get(p.id());
                if (!take.id().equals(p.take())) {
                    continue;
                }
                for (Caption c : take.words()) {
                    if (!c.start().isBefore(p.start())
                            && p.end().since(c.start()).seconds() > 0) {
                        sideWord(take.id(), c, s, mirrored);
                    }
                }
            }
        }
    }

    private void sideWord(String take, Caption c, Segment s, boolean mirrored) {
        Match.Placed here = match.segment(s.id()).orElseThrow();
        boolean changes =
                CHANGES.matcher(c.text()).find() && here.end().since(c.start()).compareTo(CHANGE_SAID_BEFORE) < 0;
        boolean ofNext = changes
                || s.kind() == SegmentKind.SWITCH
                || NEXT.matcher(c.text()).find();
        Segment about = ofNext ? next(s) : s;
        boolean sided = about != null
                && (about.side() == Side.LEFT || about.side() == Side.RIGHT)
                && about.way() != SideWay.ALTERNATE;
        Matcher m = SIDE.matcher(c.text());
        if (!sided || !m.find()) {
            return;
        }
        String right = about.side().spoken(mirrored);
        String said = m.group(1) != null ? m.group(1) : m.group(2);
        if (!said.equalsIgnoreCase(right) && !c.text().matches("(?i).*\\b" + right + "\\b.*")) {
            Finding f = add(
                    "match.wrong-side",
                    Severity.FIX,
                    about,
                    "\"" + c.text() + "\" at " + c.start() + " of " + take + " says "
                            + said.toLowerCase(Locale.ROOT) + "; the "
                            + about.side().word() + " side works"
                            + (mirrored ? " (sides are spoken mirrored: \"" + right + "\")" : "") + ".",
                    "correct it on screen: " + right);
            slips.add(new Slip(
                    f,
                    take,
                    new Span<>(c.start(), c.end()),
                    c.text(),
                    c.text().replaceAll("(?i)\\b" + said + "\\b", right),
                    right + " side"));
        }
    }

    private Segment next(Segment s) {
        int k = timeline.segments().indexOf(s);
        return timeline.segments().subList(k + 1, timeline.segments().size()).stream()
                .filter(o -> o.kind().isMoving())
                .findFirst()
                .orElse(null);
    }
}
