package app.nosegay.plan.check;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Doses;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Problem;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Promise;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Compares a timeline with what its sheet promises, names what could not be read, and gathers the findings of all checks. */
public final class PlanCheck {
    private static final Pattern TITLE_MINUTES =
            Pattern.compile("\\b(\\d{1,3})[- ]?min(?:ute)?s?\\b", Pattern.CASE_INSENSITIVE);

    private final Timeline timeline;
    private final MoveLibrary library;
    private final List<Finding> findings = new ArrayList<>();

    private PlanCheck(Timeline timeline, MoveLibrary library) {
        this.timeline = timeline;
        this.library = library;
    }

    /** The findings of a plan with the usual change-over costs, the gravest first. */
    public static List<Finding> findings(Timeline timeline, MoveLibrary library) {
        return PlanReport.of(timeline, library, ChangeCosts.DEFAULT).findings();
    }

    static List<Finding> findings(PlanContext context) {
        PlanCheck check = new PlanCheck(context.timeline(), context.library());
        check.unread(context);
        check.promise();
        check.title();
        check.absences();
        check.cutShort();
        check.findings.addAll(FlowChecks.findings(context));
        check.findings.addAll(BodyChecks.findings(context));
        check.findings.addAll(GearChecks.findings(context));
        check.findings.addAll(CautionChecks.findings(context));
        check.findings.sort(Comparator.comparing(Finding::severity));
        return List.copyOf(check.findings);
    }

    /** The same, or with what viewers are to do beyond what is shown where only that keeps the promise: either may be meant. */
    public static Length measured(Timeline timeline, MoveLibrary library) {
        Promise promise = timeline.sheet().header().promise();
        Length measured = measured(timeline);
        if (promise.form() == null || promise.keeps(measured) || promise.base() == Promise.Base.MOVING) {
            return measured;
        }
        Length withDoses = measured.plus(Doses.of(timeline, library).beyond());
        return promise.keeps(withDoses) ? withDoses : measured;
    }

    /** The length the promise is measured over. */
    public static Length measured(Timeline timeline) {
        Promise promise = timeline.sheet().header().promise();
        return switch (promise.base()) {
            case WHOLE -> timeline.total().minus(bonus(timeline)).plus(alone(timeline));
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
        return findings.stream().noneMatch(f -> f.code().startsWith("plan.promise-"));
    }

    /** The promise and what becomes of it, as one plain sentence. */
    public static String sentence(Timeline timeline, MoveLibrary library, List<Finding> findings) {
        Promise promise = timeline.sheet().header().promise();
        String total = timeline.total().clock();
        if (promise.text().isEmpty()) {
            return CoreText.of("plan.check.plan-check.nothing-is-promised-yet-the", total);
        }
        if (promiseKept(findings)) {
            Length alone = measured(timeline, library).minus(timeline.total());
            if (promise.base() == Promise.Base.WHOLE && alone.isPositive()) {
                return CoreText.of(
                        "plan.check.plan-check.with-what-is-done-alone", promise.text(), total, alone.clock());
            }
            return CoreText.of("plan.check.plan-check.the-promise-holds-the-workout", promise.text(), total);
        }
        return CoreText.of(
                "plan.check.plan-check.the-promise-does-not-hold",
                promise.text(),
                String.join(
                        " ",
                        findings.stream()
                                .filter(f -> f.code().startsWith("plan.promise-"))
                                .map(Finding::message)
                                .toList()));
    }

    private void unread(PlanContext context) {
        for (Problem p : timeline.sheet().problems()) {
            String code = !p.note() ? "plan.unread" : p.isUnknownMove() ? "plan.unknown-move" : "plan.remark";
            Finding finding = Finding.of(code, p.note() ? Severity.NOTE : Severity.STOP, p.message())
                    .onLine(p.line());
            findings.add(
                    p.nearest() == null
                            ? finding
                            : finding.withFix(
                                    CoreText.of("plan.check.plan-check.write", p.nearest()),
                                    replaced(p, context.line(p.line()))));
        }
    }

    /** The line with the nearest known word in place of the one that could not be read. */
    private static SheetEdit replaced(Problem p, String line) {
        int at = line.toLowerCase(Locale.ROOT).indexOf(p.found().toLowerCase(Locale.ROOT), Math.max(0, p.column() - 2));
        return at < 0 || p.found().isEmpty()
                ? null
                : SheetEdit.replace(
                        p.found() + " → " + p.nearest(),
                        p.line(),
                        line.substring(0, at)
                                + p.nearest()
                                + line.substring(at + p.found().length()));
    }

    /** Promised sets and repetitions hold of every move that is worked in sets. */
    private void sets(Promise promise) {
        Amount each = promise.each();
        if (each == null) {
            return;
        }
        Map<Integer, Integer> sets = new TreeMap<>();
        Map<Integer, Segment> firsts = new HashMap<>();
        for (Segment s : timeline.segments()) {
            if (s.kind() == SegmentKind.WORK && s.set() != null && s.line() != null) {
                sets.merge(s.line().line(), s.set(), Math::max);
                firsts.putIfAbsent(s.line().line(), s);
            }
        }
        sets.forEach((line, count) -> {
            Segment s = firsts.get(line);
            boolean reps =
                    each.reps() == null || s.reps() != null && s.reps() >= each.least() && s.reps() <= each.most();
            if (count != each.sets() || !reps) {
                String planned =
                        count + " × " + (s.reps() == null ? s.duration().clock() : "" + s.reps());
                findings.add(Finding.at(
                        "plan.promise-sets",
                        Severity.STOP,
                        s,
                        CoreText.of("plan.promise-sets.message", each.words(), s.move(), planned)));
            }
        });
    }

    /** The time of what is a bonus: outside the promise. */
    private static Length bonus(Timeline timeline) {
        return timeline.segments().stream()
                .filter(s -> s.block().attributes().flag(Attribute.BONUS)
                        || s.line() != null && s.line().attributes().flag(Attribute.BONUS))
                .map(Segment::duration)
                .reduce(Length.ZERO, Length::plus);
    }

    /** What viewers do by themselves while the video waits: it takes time of theirs and none of the video. */
    private static Length alone(Timeline timeline) {
        return timeline.sheet().blocks().stream()
                .flatMap(b -> Stream.concat(
                        Stream.of(b.attributes()), b.moves().stream().map(MoveLine::attributes)))
                .flatMap(a -> a.length(Attribute.ALONE).stream())
                .reduce(Length.ZERO, Length::plus);
    }

    /** Minutes in the title have to agree with the timeline as the promise does. */
    private void title() {
        String title = timeline.sheet().header().title();
        Matcher minutes = TITLE_MINUTES.matcher(title);
        if (minutes.find()) {
            double said = 60 * Double.parseDouble(minutes.group(1));
            double total = timeline.total().seconds();
            double promised = measured(timeline, library).seconds();
            double off = Math.min(Math.abs(said - total), Math.abs(said - promised));
            if (off > Math.max(30, 0.03 * said)) {
                findings.add(Finding.of(
                                "plan.title-length",
                                Severity.STOP,
                                CoreText.of(
                                        "plan.title-length.message",
                                        minutes.group(1),
                                        timeline.total().clock()))
                        .onLine(SheetText.headerLine(timeline.sheet().text(), "title"))
                        .withFix(CoreText.of("plan.title-length.fix", Math.round(total / 60))));
            }
        }
    }

    private void promise() {
        Promise promise = timeline.sheet().header().promise();
        Length measured = measured(timeline, library);
        if (promise.form() != null && measured.compareTo(promise.longest()) > 0) {
            Length over = measured.minus(promise.most());
            findings.add(Finding.of(
                            "plan.promise-length",
                            Severity.STOP,
                            CoreText.of("plan.promise-length.message", measured.clock(), over.clock()))
                    .onLine(promiseLine())
                    .withFix(CoreText.of("plan.promise-length.fix", over.clock())));
        } else if (promise.form() != null && measured.compareTo(promise.shortest()) < 0) {
            Length under = promise.least().minus(measured);
            findings.add(Finding.of(
                            "plan.promise-length",
                            Severity.STOP,
                            CoreText.of("plan.promise-length.message-2", measured.clock(), under.clock()))
                    .onLine(promiseLine())
                    .withFix(CoreText.of("plan.promise-length.fix-2", under.clock())));
        }
        sets(promise);
        int moves = timeline.workMoves(false).size();
        int withBonus = timeline.workMoves(true).size();
        if (promise.moves() != null && promise.moves() != moves && promise.moves() != withBonus) {
            findings.add(Finding.of(
                            "plan.promise-moves",
                            Severity.STOP,
                            CoreText.of("plan.promise-moves.message", promise.moves(), moves))
                    .onLine(promiseLine()));
        }
        int rounds = timeline.segments().stream()
                .filter(s -> s.round() != null && s.block().kind() == BlockKind.CIRCUIT)
                .mapToInt(Segment::round)
                .max()
                .orElse(1);
        if (promise.rounds() != null && promise.rounds() != rounds) {
            findings.add(Finding.of(
                            "plan.promise-rounds",
                            Severity.STOP,
                            CoreText.of("plan.promise-rounds.message", promise.rounds(), rounds))
                    .onLine(promiseLine()));
        }
    }

    private int promiseLine() {
        return SheetText.headerLine(timeline.sheet().text(), "promise");
    }

    private void absences() {
        for (String absent : timeline.sheet().header().promise().absent()) {
            Optional<Absence> absence = Absence.of(absent, library);
            if (absence.isEmpty()) {
                findings.add(Finding.of(
                                "plan.promise-unknown",
                                Severity.LOOK,
                                CoreText.of("plan.promise-unknown.message", absent, Absence.known()))
                        .onLine(promiseLine()));
                continue;
            }
            absence.get()
                    .broken(timeline, library)
                    .ifPresent(s -> findings.add(Finding.at(
                                    "plan.promise-absence",
                                    Severity.STOP,
                                    s,
                                    CoreText.of("plan.promise-absence.message", absent, s.move(), s.start()))
                            .withFix(CoreText.of("plan.promise-absence.fix", s.move()))));
        }
    }

    private void cutShort() {
        if (timeline.isFull()) {
            findings.add(Finding.of(
                    "plan.too-long",
                    Severity.STOP,
                    CoreText.of("plan.too-long.message", timeline.segments().size())));
        }
    }
}
