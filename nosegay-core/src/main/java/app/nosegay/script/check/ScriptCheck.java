package app.nosegay.script.check;

import static app.nosegay.script.Wordings.capital;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.ChangeOver;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.PromisedCalls;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.ScriptNotes;
import app.nosegay.script.Talk;
import app.nosegay.script.TalkWindow;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What is wrong with a script: lines without room, options, breath and screening missing, calls nobody makes. Gathers all checks. */
public final class ScriptCheck {
    /** The part of an interval in which an option has to come first. */
    private static final double OPTION_BY = 1 / 3.0;

    private static final Pattern POINTS = Pattern.compile(
            "\\b(?:over here|up here|down here|right here|on (?:your|my|the) (?:left|right))\\b",
            Pattern.CASE_INSENSITIVE);

    private final Timeline timeline;
    private final CuePlan plan;
    private final MoveLibrary library;
    private final Map<String, Segment> byId = new HashMap<>();
    private final Map<String, List<ScriptLine>> linesOf;
    private final Map<String, Integer> indexes;
    /** In a stretch longer than this, in seconds, something has to be said. */
    private static final double SILENT_FOR = 30;

    private final List<Finding> findings = new ArrayList<>();

    private ScriptCheck(Timeline timeline, CuePlan plan, MoveLibrary library) {
        this.timeline = timeline;
        this.plan = plan;
        this.library = library;
        timeline.segments().forEach(s -> byId.put(s.id(), s));
        this.indexes = timeline.indexes();
        this.linesOf = plan.lines().stream().collect(Collectors.groupingBy(ScriptLine::segment));
    }

    /** The findings of a script, the gravest first. */
    public static List<Finding> findings(
            Timeline timeline, CuePlan plan, ScriptNotes notes, MoveLibrary library, List<ChangeOver> changeOvers) {
        ScriptCheck check = new ScriptCheck(timeline, plan, library);
        check.room();
        check.options();
        check.breathAndScreening();
        check.sameForm();
        check.nextUps(changeOvers);
        check.promisedCalls();
        check.unheardCalls();
        check.silences();
        check.findings.addAll(ListenerCheck.findings(timeline, plan));
        check.repPatterns();
        check.endCard();
        check.fixedLines();
        check.findings.addAll(ClaimChecks.findings(timeline, plan, notes, library));
        check.findings.addAll(WordChecks.findings(timeline, plan, library));
        check.findings.sort(Comparator.comparing(Finding::severity));
        return List.copyOf(check.findings);
    }

    private List<ScriptLine> lines(Segment s) {
        return linesOf.getOrDefault(s.id(), List.of());
    }

    private Segment segment(ScriptLine line) {
        return byId.get(line.segment());
    }

    /** Lines that found no room: the creator's own, and of the others those that may not be missing. */
    private void room() {
        for (CuePlan.Left l : plan.left()) {
            boolean matters = l.line().kind() == CueKind.CAUTION
                    || l.line().kind() == CueKind.EASIER
                    || l.line().kind() == CueKind.NEXT && segment(l.line()).kind() != SegmentKind.TALK;
            if (l.own() || matters && l.needed()) {
                findings.add(Finding.at(
                                "script.no-room",
                                l.own() ? Severity.FIX : Severity.LOOK,
                                segment(l.line()),
                                "\"" + l.line().text() + "\" " + l.reason() + ".")
                        .withFix(l.remedy()));
            }
        }
    }

    /** Every worked move has an option said in its first third or before it. */
    private void options() {
        Set<String> told = new HashSet<>();
        List<Segment> segments = timeline.segments();
        for (int i = 0; i < segments.size(); i++) {
            Segment s = segments.get(i);
            if (s.kind() != SegmentKind.WORK || s.move() == null || !told.add(s.move())) {
                continue;
            }
            List<ScriptLine> about = new ArrayList<>(lines(s));
            if (i > 0) {
                about.addAll(lines(segments.get(i - 1)));
            }
            ScriptLine first = about.stream()
                    .filter(l -> l.kind().isOption())
                    .min(Comparator.comparing(ScriptLine::start))
                    .orElse(null);
            if (first == null) {
                findings.add(Finding.at(
                                "script.no-option", Severity.FIX, s, CoreText.of("script.no-option.message", s.move()))
                        .withFix(CoreText.of("script.no-option.fix")));
            } else if (first.start().since(s.start()).seconds()
                    > OPTION_BY * s.duration().seconds()) {
                findings.add(Finding.at(
                                "script.late-option",
                                Severity.LOOK,
                                s,
                                CoreText.of(
                                        "script.late-option.message",
                                        s.move(),
                                        first.start().since(s.start()).clock()))
                        .withFix(CoreText.of("script.late-option.fix")));
            }
        }
    }

    private void breathAndScreening() {
        boolean works = timeline.segments().stream().anyMatch(s -> s.kind() == SegmentKind.WORK);
        if (works && plan.lines().stream().noneMatch(l -> l.kind() == CueKind.BREATH)) {
            findings.add(Finding.of("script.no-breath", Severity.LOOK, CoreText.of("script.no-breath.message"))
                    .withFix(CoreText.of("script.no-breath.fix")));
        }
        Segment moving = timeline.segments().stream()
                .filter(s -> s.kind().isMoving())
                .findFirst()
                .orElse(null);
        boolean screened = moving == null
                || plan.lines().stream()
                        .anyMatch(l -> l.kind() == CueKind.CAUTION && l.start().isBefore(moving.start()));
        if (!screened) {
            findings.add(Finding.at(
                            "script.no-screening",
                            Severity.FIX,
                            moving,
                            CoreText.of("script.no-screening.message", CuePlanner.SCREENING))
                    .withFix(CoreText.of("script.no-screening.fix")));
        }
    }

    /** The same form line every time a move comes. */
    private void sameForm() {
        Map<String, Set<String>> forms = new HashMap<>();
        Map<String, Integer> times = new HashMap<>();
        Map<String, Segment> last = new HashMap<>();
        for (Segment s : timeline.segments()) {
            if (s.kind() != SegmentKind.WORK) {
                continue;
            }
            for (ScriptLine l : lines(s)) {
                if (l.kind() == CueKind.FORM) {
                    forms.computeIfAbsent(s.move(), k -> new HashSet<>()).add(l.text());
                    times.merge(s.move(), 1, Integer::sum);
                    last.put(s.move(), s);
                }
            }
        }
        forms.forEach((move, texts) -> {
            if (texts.size() == 1 && times.get(move) > 2) {
                findings.add(Finding.at(
                        "script.same-form",
                        Severity.LOOK,
                        last.get(move),
                        CoreText.of("script.same-form.message", texts.iterator().next(), times.get(move), move)));
            }
        });
    }

    /** A change of gear or position nobody announces. */
    private void nextUps(List<ChangeOver> changeOvers) {
        Set<String> told = new HashSet<>();
        List<Segment> segments = timeline.segments();
        for (ChangeOver c : changeOvers) {
            boolean changes = c.steps().stream().anyMatch(s -> !s.what().startsWith("change to the"));
            if (!changes || c.segment().move().equals(c.before().move())) {
                continue;
            }
            int at = indexes.get(c.segment().id());
            boolean announced = false;
            for (int k = indexes.get(c.before().id()); k < at; k++) {
                announced |= lines(segments.get(k)).stream()
                        .anyMatch(l -> l.kind() == CueKind.NEXT || l.kind() == CueKind.GEAR);
            }
            if (!announced && told.add(c.segment().move())) {
                findings.add(Finding.at(
                                "script.no-next-up",
                                Severity.FIX,
                                c.segment(),
                                CoreText.of(
                                        "script.no-next-up.message",
                                        capital(c.segment().move()),
                                        c.describe()))
                        .withFix(
                                CoreText.of("script.no-next-up.fix", c.segment().move())));
            }
        }
    }

    /** A half-way change that is promised and never called. */
    private void promisedCalls() {
        PromisedCalls.of(timeline, plan).forEach((l, call) -> {
            if (call.isEmpty()) {
                findings.add(Finding.at(
                                "script.call-missing",
                                Severity.FIX,
                                segment(l),
                                CoreText.of("script.call-missing.message", l.text()))
                        .withFix("calls: half", callsWithHalf()));
            }
        });
    }

    /** Whoever cannot see the screen has to hear the time: in an audio episode, and where a move turns the face away. */
    private void unheardCalls() {
        boolean spoken = timeline.sheet().header().calls().countOut() > 0
                || !timeline.sheet().header().calls().secondsLeft().isEmpty();
        if (spoken) {
            return;
        }
        boolean audio = timeline.sheet().header().voiceOnly();
        Segment blind = timeline.segments().stream()
                .filter(s -> s.kind() == SegmentKind.WORK
                        && !isCounted(s)
                        && (audio || s.moves(library).stream().anyMatch(Move::isFacingAway)))
                .findFirst()
                .orElse(null);
        if (blind != null) {
            findings.add(Finding.at(
                            "script.unheard",
                            audio ? Severity.FIX : Severity.LOOK,
                            blind,
                            audio
                                    ? CoreText.of("script.unheard.message")
                                    : CoreText.of("script.unheard.message-2", blind.move()))
                    .withFix(
                            "calls: half, 10, in 3, out 3",
                            SheetText.header(timeline.sheet().text(), "calls", "half, 10, in 3, out 3")));
        }
    }

    /** Whether counting tells when it ends: repetitions, or counts to a beat. */
    private static boolean isCounted(Segment s) {
        return s.reps() != null
                || s.line() != null
                        && s.line()
                                .attributes()
                                .over(s.block().attributes())
                                .counts()
                                .isPresent();
    }

    /** A long stretch in which nothing is said: nobody knows whether the sound has gone. In a video people rest and work in quiet. */
    private void silences() {
        boolean audio = timeline.sheet().header().voiceOnly();
        for (Segment s : timeline.segments()) {
            boolean spoken = audio || s.kind() == SegmentKind.TALK || s.kind() == SegmentKind.DEMO;
            Length silent = spoken ? longestSilence(s) : lines(s).isEmpty() ? s.duration() : Length.ZERO;
            boolean meant = s.kind() == SegmentKind.REST && !audio;
            if (silent.seconds() > SILENT_FOR && !meant) {
                findings.add(Finding.at(
                                "script.silence",
                                spoken ? Severity.FIX : Severity.LOOK,
                                s,
                                CoreText.of("script.silence.message", silent.clock()))
                        .withFix(CoreText.of("script.silence.fix")));
            }
        }
    }

    private Length longestSilence(Segment s) {
        Time<Axis.Plan> from = s.start();
        Length longest = Length.ZERO;
        for (ScriptLine l : lines(s)) {
            longest = Length.max(longest, l.start().since(from));
            from = Time.max(from, l.end());
        }
        return Length.max(longest, s.end().since(from));
    }

    private SheetEdit callsWithHalf() {
        String text = timeline.sheet().text();
        int line = SheetText.headerLine(text, "calls");
        String now = line == 0 ? "10, in 3, out 3" : SheetText.line(text, line).replaceFirst("(?i)^calls:\\s*", "");
        return SheetText.header(text, "calls", "half, " + now);
    }

    /** A rep target for moves joined together, without a word on what one rep is. */
    private void repPatterns() {
        Set<Integer> told = new HashSet<>();
        for (Segment s : timeline.segments()) {
            if (s.kind() == SegmentKind.WORK
                    && s.reps() != null
                    && s.line() != null
                    && s.line().parts().size() > 1
                    && s.move().contains("+")
                    && !s.line().attributes().over(s.block().attributes()).has(Attribute.REP)
                    && told.add(s.line().line())) {
                findings.add(Finding.at(
                                "script.rep-undefined",
                                Severity.LOOK,
                                s,
                                CoreText.of("script.rep-undefined.message", s.move()))
                        .withFix(
                                CoreText.of(
                                        "script.rep-undefined.fix",
                                        String.join(", ", s.line().parts())),
                                SheetEdit.insert(
                                        CoreText.of(
                                                "script.rep-undefined.fix-2",
                                                String.join(", ", s.line().parts())),
                                        s.line().line() + 1,
                                        List.of("    rep: "
                                                + String.join(", ", s.line().parts())))));
            }
        }
    }

    /** Where the end card is: a closing that speaks of the next video has to point at it. */
    private void endCard() {
        List<Segment> segments = timeline.segments();
        if (segments.isEmpty() || !Talk.isClosing(timeline, segments.get(segments.size() - 1))) {
            return;
        }
        Segment closing = segments.get(segments.size() - 1);
        boolean known = timeline.sheet().header().policy().choice("end-card").isPresent();
        boolean points =
                lines(closing).stream().anyMatch(l -> POINTS.matcher(l.text()).find());
        boolean speaks = lines(closing).stream()
                .anyMatch(l -> l.text().toLowerCase(Locale.ROOT).matches(".*\\bnext (?:one|video|workout)\\b.*"));
        if (speaks && !known && !points) {
            findings.add(Finding.at("script.end-card", Severity.NOTE, closing, CoreText.of("script.end-card.message"))
                    .withFix(
                            "policy: end-card left",
                            SheetText.header(timeline.sheet().text(), "policy", "end-card left")));
        } else if (known && !points) {
            findings.add(Finding.at("script.end-card", Severity.LOOK, closing, CoreText.of("script.end-card.message-2"))
                    .withFix(CoreText.of("script.end-card.fix")));
        }
    }

    /** Lines fixed by hand that meet another line, a call or the end of their segment. */
    private void fixedLines() {
        List<ScriptLine> lines = plan.lines();
        for (int i = 0; i < lines.size(); i++) {
            ScriptLine l = lines.get(i);
            if (!l.fixed()) {
                continue;
            }
            Segment s = segment(l);
            ScriptLine hit = null;
            for (int k = Math.max(0, i - 2); k < Math.min(lines.size(), i + 3); k++) {
                if (k != i && lines.get(k).span().overlaps(l.span())) {
                    hit = lines.get(k);
                }
            }
            if (hit != null) {
                findings.add(Finding.at(
                                "script.overlap",
                                Severity.FIX,
                                s,
                                CoreText.of("script.overlap.message", l.text(), hit.text()))
                        .withFix(CoreText.of("script.overlap.fix")));
            } else if (l.end().isAfter(s.end().plus(Length.ofMillis(100)))) {
                findings.add(Finding.at(
                                "script.over-end",
                                Severity.FIX,
                                s,
                                CoreText.of(
                                        "script.over-end.message",
                                        l.text(),
                                        seconds(l.end().since(s.end())),
                                        s.kind().word()))
                        .withFix(CoreText.of("script.over-end.fix")));
            }
        }
        for (TalkWindow w : plan.windows()) {
            Segment s = byId.get(w.segment());
            Length said = lines(s).stream().map(ScriptLine::spoken).reduce(Length.ZERO, Length::plus);
            if (s.kind().isMoving()
                    && said.compareTo(w.available()) > 0
                    && s.duration().seconds() >= 10) {
                findings.add(Finding.at(
                        "script.dense",
                        Severity.NOTE,
                        s,
                        CoreText.of(
                                "script.dense.message",
                                100 * said.seconds() / s.duration().seconds(),
                                s.move(),
                                100 * timeline.sheet().header().talkDensity().share())));
            }
        }
    }

    private static String seconds(Length length) {
        return String.format(Locale.ROOT, "%.1f s", length.seconds());
    }
}
