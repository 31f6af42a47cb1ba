package app.nosegay.script.check;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;

/** What has to be heard and is not: calls that were promised, calls for who cannot see the screen, anything at all. */
final class CallChecks {
    /** In a stretch longer than this, in seconds, something has to be said. */
    private static final double SILENT_FOR = 30;

    private final Timeline timeline;
    private final CuePlan plan;
    private final MoveLibrary library;
    private final LinesOfSegments said;
    private final List<Finding> findings = new ArrayList<>();

    private CallChecks(Timeline timeline, CuePlan plan, MoveLibrary library) {
        this.timeline = timeline;
        this.plan = plan;
        this.library = library;
        this.said = new LinesOfSegments(timeline, plan);
    }

    static List<Finding> findings(Timeline timeline, CuePlan plan, MoveLibrary library) {
        CallChecks check = new CallChecks(timeline, plan, library);
        check.promisedCalls();
        check.unheardCalls();
        check.silences();
        return check.findings;
    }

    /** A half-way change that is promised and never called. */
    private void promisedCalls() {
        PromisedCalls.of(timeline, plan).forEach((l, call) -> {
            if (call.isEmpty()) {
                findings.add(Finding.at(
                                "script.call-missing",
                                Severity.FIX,
                                said.segment(l.segment()),
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

    private SheetEdit callsWithHalf() {
        String text = timeline.sheet().text();
        int line = SheetText.headerLine(text, "calls");
        String now = line == 0 ? "10, in 3, out 3" : SheetText.line(text, line).replaceFirst("(?i)^calls:\\s*", "");
        return SheetText.header(text, "calls", "half, " + now);
    }

    /** A long stretch in which nothing is said: nobody knows whether the sound has gone. In a video people rest and work in quiet. */
    private void silences() {
        boolean audio = timeline.sheet().header().voiceOnly();
        for (Segment s : timeline.segments()) {
            boolean spoken = audio || s.kind() == SegmentKind.TALK || s.kind() == SegmentKind.DEMO;
            Length silent = spoken ? longestSilence(s) : said.in(s).isEmpty() ? s.duration() : Length.ZERO;
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
        for (ScriptLine l : said.in(s)) {
            longest = Length.max(longest, l.start().since(from));
            from = Time.max(from, l.end());
        }
        return Length.max(longest, s.end().since(from));
    }
}
