package app.nosegay.plan.check;

import static app.nosegay.plan.check.FlowChecks.capital;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.sheet.RunSheet.Cue;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Cautions by audience, options that are due, the screening line. */
final class CautionChecks {
    private final PlanContext context;
    private final List<Finding> findings = new ArrayList<>();

    private CautionChecks(PlanContext context) {
        this.context = context;
    }

    static List<Finding> findings(PlanContext context) {
        CautionChecks checks = new CautionChecks(context);
        checks.audiences();
        checks.rules();
        checks.options();
        checks.screening();
        return checks.findings;
    }

    private void audiences() {
        int line = SheetText.headerLine(context.timeline().sheet().text(), "audience");
        for (String word : context.timeline().sheet().header().audience()) {
            if (Audience.of(word).isEmpty()) {
                String nearest = Audience.nearest(word);
                Finding finding = Finding.of(
                                "plan.audience-unknown",
                                Severity.LOOK,
                                CoreText.of("plan.audience-unknown.message", word))
                        .onLine(line);
                findings.add(
                        nearest == null
                                ? finding
                                : finding.withFix(
                                        CoreText.of("plan.check.caution-checks.write", nearest),
                                        SheetEdit.replace(
                                                word + " → " + nearest,
                                                line,
                                                context.line(line).replace(word, nearest))));
            }
        }
    }

    /** A rule that is not heeded: the move should go, or its option or caution is neither written nor in the library's ladder. */
    private void rules() {
        for (Cautions.Raised r : context.cautions()) {
            Cautions.Rule rule = r.rule();
            boolean general = rule.audience() == Audience.GENERAL || rule.audience() == Audience.BEGINNER;
            if (rule.level() == Cautions.Level.CAUTION || heeded(r)) {
                continue; // Cautions are said by the script of its own accord.
            }
            String who = rule.audience().word();
            boolean out = rule.level() == Cautions.Level.LEAVE_OUT;
            String text = out
                    ? CoreText.of(
                            "plan.check.caution-checks.leave-it-out-and-ask",
                            capital(r.move().name()),
                            who,
                            rule.reason())
                    : CoreText.of(
                            "plan.check.caution-checks.needs-the-option",
                            capital(r.move().name()),
                            who,
                            rule.option(),
                            rule.reason());
            Severity severity = out ? Severity.STOP : general ? Severity.LOOK : Severity.FIX;
            String condition = general ? "" : CoreText.of("plan.check.caution-checks.for", who);
            String written = (out ? "instead" : "easier") + condition + ": " + capital(rule.option()) + ".";
            findings.add(Finding.at("plan.caution", severity, r.segment(), text)
                    .withFix(CoreText.of("plan.caution.fix", written), cueLine(r.segment(), written)));
        }
    }

    private boolean heeded(Cautions.Raised r) {
        List<Cue> own = new ArrayList<>(r.segment().line().cues());
        own.addAll(r.segment().block().cues());
        String who = r.rule().audience().word();
        String firstWord = who.split("[ -]")[0];
        boolean forThem = own.stream()
                .anyMatch(c -> c.kind().isOption()
                        && c.condition().toLowerCase(Locale.ROOT).contains(firstWord));
        boolean anyOption = own.stream().anyMatch(c -> c.kind() == CueKind.EASIER || c.kind() == CueKind.INSTEAD);
        boolean libraryOption = !r.move().cues(CueKind.EASIER).isEmpty();
        boolean general = r.rule().audience() == Audience.GENERAL || r.rule().audience() == Audience.BEGINNER;
        return switch (r.rule().level()) {
            case LEAVE_OUT ->
                own.stream()
                        .anyMatch(c -> c.kind() == CueKind.INSTEAD
                                && c.condition().toLowerCase(Locale.ROOT).contains(firstWord));
            case OPTION -> forThem || (general && (anyOption || libraryOption));
            case CAUTION -> true;
        };
    }

    private SheetEdit cueLine(Segment s, String cue) {
        return SheetEdit.insert(
                CoreText.of("plan.check.caution-checks.add", cue.split(":")[0]),
                s.line().line() + 1,
                List.of("    " + cue));
    }

    /** Every worked move has an easier option, written or in the library. */
    private void options() {
        Set<String> told = new HashSet<>();
        for (Segment s : context.segments()) {
            if (s.kind() != SegmentKind.WORK || s.line() == null || s.move() == null) {
                continue;
            }
            boolean written =
                    s.line().cues().stream().anyMatch(c -> c.kind() == CueKind.EASIER || c.kind() == CueKind.INSTEAD)
                            || !s.line().levels().isEmpty();
            List<Move> known = context.moves(s);
            boolean library =
                    known.stream().anyMatch(m -> !m.cues(CueKind.EASIER).isEmpty());
            if (!written && !library && told.add(s.move())) {
                findings.add(Finding.at(
                                "plan.no-easier",
                                known.isEmpty() ? Severity.LOOK : Severity.FIX,
                                s,
                                CoreText.of("plan.no-easier.message", capital(s.move())))
                        .withFix(CoreText.of("plan.no-easier.fix")));
            }
        }
    }

    /** The screening line is said first: by a caution in the first talk. Without a talk there is nowhere to say it. */
    private void screening() {
        Optional<Segment> first = context.segments().stream().findFirst();
        boolean hasTalk =
                context.timeline().sheet().blocks().stream().limit(2).anyMatch(b -> b.kind() == BlockKind.TALK);
        if (first.isPresent() && !hasTalk) {
            findings.add(Finding.of(
                            "plan.screening-missing",
                            Severity.FIX,
                            CoreText.of("plan.screening-missing.message", Cautions.SCREENING))
                    .onLine(first.get().block().line())
                    .withFix(
                            CoreText.of("plan.screening-missing.fix"),
                            SheetEdit.insert(
                                    CoreText.of("plan.screening-missing.fix-2"),
                                    first.get().block().line(),
                                    List.of("talk Welcome  0:20", "  caution: " + Cautions.SCREENING, ""))));
        }
    }
}
