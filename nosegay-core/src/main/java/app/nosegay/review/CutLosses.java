package app.nosegay.review;

import app.nosegay.captions.TellingWords;
import app.nosegay.cut.Cut;
import app.nosegay.cut.MatchNotes;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.CueKind;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Announcements that were said, but only where the cut leaves the picture and sound out. */
final class CutLosses {
    /** What a viewer misses when it is gone; a cheer can go. */
    private static final Set<CueKind> ANNOUNCE = EnumSet.of(
            CueKind.NAME,
            CueKind.SETUP,
            CueKind.GEAR,
            CueKind.NEXT,
            CueKind.CAUTION,
            CueKind.EASIER,
            CueKind.HARDER,
            CueKind.INSTEAD);

    private CutLosses() {}

    static List<Finding> findings(
            Timeline timeline, Match match, MatchNotes notes, List<TakeEvidence> takes, List<ScriptLineMatch> said) {
        Cut cut = Cut.of(match, notes);
        Map<String, Segment> byId =
                timeline.segments().stream().collect(Collectors.toMap(Segment::id, Function.identity()));
        List<Finding> findings = new ArrayList<>();
        for (ScriptLineMatch s : said) {
            boolean lost = s.isSaid()
                    && ANNOUNCE.contains(s.line().kind())
                    && cut.toCut(s.take(), s.time()).isEmpty()
                    && !saidElsewhere(s, cut, takes);
            if (lost) {
                findings.add(Finding.at(
                                "match.announcement-lost",
                                Severity.FIX,
                                byId.get(s.line().segment()),
                                CoreText.of(
                                        "match.announcement-lost.message",
                                        s.line().text(),
                                        s.time(),
                                        s.take()))
                        .withFix(CoreText.of("match.announcement-lost.fix"))
                        .withMoment(Finding.Moment.at(s.take(), s.time())));
            }
        }
        return findings;
    }

    private static boolean saidElsewhere(ScriptLineMatch s, Cut cut, List<TakeEvidence> takes) {
        return takes.stream().anyMatch(t -> t.words().stream()
                .anyMatch(c -> cut.toCut(t.id(), c.start()).isPresent()
                        && TellingWords.matches(s.line().text(), c.text())));
    }
}
