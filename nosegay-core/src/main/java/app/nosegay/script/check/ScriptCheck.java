package app.nosegay.script.check;

import static app.nosegay.script.Wordings.capital;

import app.nosegay.library.CueKind;
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
import app.nosegay.script.ScriptLine;
import app.nosegay.script.ScriptNotes;
import app.nosegay.script.Talk;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** What is wrong with a script: lines without room, options, breath and screening missing, calls nobody makes. Gathers all checks. */
public final class ScriptCheck {
    /** The part of an interval in which an option has to come first. */
    private static final double OPTION_BY = 1 / 3.0;

    private static final Pattern POINTS = Pattern.compile(
            "\\b(?:over here|up here|down here|right here|on (?:your|my|the) (?:left|right))\\b",
            Pattern.CASE_INSENSITIVE);

    private final Timeline timeline;
    private final CuePlan plan;
    private final LinesOfSegments said;
    private final Map<String, Integer> indexes;
    private final List<Finding> findings = new ArrayList<>();

    private ScriptCheck(Timeline timeline, CuePlan plan) {
        this.timeline = timeline;
        this.plan = plan;
        this.said = new LinesOfSegments(timeline, plan);
        this.indexes = timeline.indexes();
    }

    /** The findings of a script, the gravest first. */
    public static List<Finding> findings(
            Timeline timeline, CuePlan plan, ScriptNotes notes, MoveLibrary library, List<ChangeOver> changeOvers) {
        ScriptCheck check = new ScriptCheck(timeline, plan);
        check.room();
        check.options();
        check.breathAndScreening();
        check.sameForm();
        check.nextUps(changeOvers);
        check.findings.addAll(CallChecks.findings(timeline, plan, library));
        check.findings.addAll(ListenerCheck.findings(timeline, plan));
        check.repPatterns();
        check.endCard();
        check.findings.addAll(FixedLineChecks.findings(timeline, plan));
        check.findings.addAll(ClaimChecks.findings(timeline, plan, notes, library));
        check.findings.addAll(WordChecks.findings(timeline, plan, library));
        check.findings.sort(Comparator.comparing(Finding::severity));
        return List.copyOf(check.findings);
    }

    /** Lines that found no room: the creator's own, and of the others those that may not be missing. */
    private void room() {
        for (CuePlan.Left l : plan.left()) {
            boolean matters = l.line().kind() == CueKind.CAUTION
                    || l.line().kind() == CueKind.EASIER
                    || l.line().kind() == CueKind.NEXT
                            && said.segment(l.line().segment()).kind() != SegmentKind.TALK;
            if (l.own() || matters && l.needed()) {
                findings.add(Finding.at(
                                "script.no-room",
                                l.own() ? Severity.FIX : Severity.LOOK,
                                said.segment(l.line().segment()),
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
            List<ScriptLine> about = new ArrayList<>(said.in(s));
            if (i > 0) {
                about.addAll(said.in(segments.get(i - 1)));
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
            for (ScriptLine l : said.in(s)) {
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
                announced |= said.in(segments.get(k)).stream()
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
                said.in(closing).stream().anyMatch(l -> POINTS.matcher(l.text()).find());
        boolean speaks = said.in(closing).stream()
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
}
