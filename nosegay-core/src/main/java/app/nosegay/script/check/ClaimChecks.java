package app.nosegay.script.check;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.script.CuePlan;
import app.nosegay.script.Fields;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.ScriptNotes;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/** Words that should not be said, or not without a source: claims, the creator's avoid-list, fields that do not exist. */
final class ClaimChecks {
    private final Timeline timeline;
    private final CuePlan plan;
    private final ScriptNotes notes;
    private final MoveLibrary library;
    private final LinesOfSegments said;
    private final List<Finding> findings = new ArrayList<>();

    private ClaimChecks(Timeline timeline, CuePlan plan, ScriptNotes notes, MoveLibrary library) {
        this.timeline = timeline;
        this.plan = plan;
        this.notes = notes;
        this.library = library;
        this.said = new LinesOfSegments(timeline, plan);
    }

    static List<Finding> findings(Timeline timeline, CuePlan plan, ScriptNotes notes, MoveLibrary library) {
        ClaimChecks checks = new ClaimChecks(timeline, plan, notes, library);
        checks.claims();
        checks.avoided();
        checks.unknownFields();
        return checks.findings;
    }

    private void claims() {
        Set<String> told = new HashSet<>();
        List<ScriptLine> all = new ArrayList<>(plan.lines());
        plan.left().stream().filter(CuePlan.Left::own).map(CuePlan.Left::line).forEach(all::add);
        Set<String> read = new HashSet<>();
        for (ScriptLine l : all) {
            if (!read.add(l.text())) {
                continue;
            }
            for (Claims.Claim claim : Claims.in(l.text())) {
                if (told.add(claim.words().toLowerCase(Locale.ROOT))) {
                    claim(l, claim);
                }
            }
        }
        for (Claims.Claim claim : Claims.in(timeline.sheet().header().title())) {
            findings.add(Finding.of(
                            "script.claim",
                            claim.isNever() ? Severity.STOP : Severity.LOOK,
                            CoreText.of("script.claim.message", claim.words(), claim.kind(), claim.reason()))
                    .onLine(SheetText.headerLine(timeline.sheet().text(), "title")));
        }
    }

    private void claim(ScriptLine l, Claims.Claim claim) {
        var source = Claims.source(claim, notes.sources());
        if (claim.isNever()) {
            findings.add(Finding.at(
                            claim.kind().equals("cure") ? "script.claim-cure" : "script.shaming",
                            Severity.STOP,
                            said.segment(l.segment()),
                            "\"" + claim.words() + "\": " + claim.reason())
                    .withFix(CoreText.of("script.claim-cure.fix")));
        } else if (source.isPresent()) {
            findings.add(Finding.at(
                    "script.claim",
                    Severity.NOTE,
                    said.segment(l.segment()),
                    CoreText.of(
                            "script.claim.message-2",
                            claim.words(),
                            claim.kind(),
                            source.get().source(),
                            source.get().date())));
        } else {
            findings.add(Finding.at(
                            "script.claim",
                            Severity.LOOK,
                            said.segment(l.segment()),
                            CoreText.of("script.claim.message-3", claim.words(), claim.kind(), claim.reason()))
                    .withFix(CoreText.of("script.claim.fix")));
        }
    }

    private void avoided() {
        for (String word : notes.avoid()) {
            Pattern pattern = Pattern.compile(
                    "(?<!\\p{L})" + Pattern.quote(word.strip()) + "(?!\\p{L})", Pattern.CASE_INSENSITIVE);
            plan.lines().stream()
                    .filter(l -> !word.isBlank() && pattern.matcher(l.text()).find())
                    .forEach(l -> findings.add(Finding.at(
                                    "script.avoided",
                                    Severity.FIX,
                                    said.segment(l.segment()),
                                    CoreText.of("script.avoided.message", l.text(), word.strip()))
                            .withFix(CoreText.of("script.avoided.fix"))));
        }
    }

    private void unknownFields() {
        if (plan.lines().stream().noneMatch(l -> l.text().indexOf('{') >= 0)) {
            return;
        }
        Fields fields = Fields.of(timeline, library);
        for (ScriptLine l : plan.lines()) {
            for (String name : fields.unknown(l.text())) {
                findings.add(Finding.at(
                                "script.field-unknown",
                                Severity.FIX,
                                said.segment(l.segment()),
                                CoreText.of("script.field-unknown.message", name, String.join(", ", fields.names())))
                        .withFix(CoreText.of("script.field-unknown.fix")));
            }
        }
    }
}
