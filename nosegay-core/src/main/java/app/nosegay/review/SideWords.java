package app.nosegay.review;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Side words against the side that works, as the workout says sides. */
final class SideWords {
    private static final Pattern SIDE =
            Pattern.compile("(?i)\\b(left|right)\\b(?= (?:leg|arm|side|foot|hand|knee|elbow|hip|shoulder|first|one))|"
                    + "\\b(?:now|switch|swap|change|over) (?:to )?(?:the |your )?(left|right)\\b");

    private static final Pattern NEXT = Pattern.compile("(?i)^\\W*(?:next|coming up|up next|after this|get ready)\\b");

    private static final Pattern CHANGES = Pattern.compile("(?i)\\b(?:switch|swap|change|other side|over to)\\b");
    /** "Switch to the left" is said a little before it is time to. */
    private static final Length CHANGE_SAID_BEFORE = Length.ofSeconds(3);

    private final Timeline timeline;
    private final Match match;
    private final List<TakeEvidence> takes;
    private final Map<String, Segment> byId = new HashMap<>();
    private final MatchFindings found = new MatchFindings();
    private final List<Misstatement> misstatements = new ArrayList<>();

    private SideWords(Timeline timeline, Match match, List<TakeEvidence> takes) {
        this.timeline = timeline;
        this.match = match;
        this.takes = takes;
        timeline.segments().forEach(s -> byId.put(s.id(), s));
    }

    static ReviewResult check(Timeline timeline, Match match, List<TakeEvidence> takes) {
        SideWords check = new SideWords(timeline, match, takes);
        check.sideWords();
        return new ReviewResult(check.found.list(), check.misstatements, List.of());
    }

    private void sideWords() {
        boolean mirrored = timeline.sheet().header().mirrored();
        for (TakeEvidence take : takes) {
            match.segments().stream().filter(p -> take.id().equals(p.take())).forEach(p -> take.words().stream()
                    .filter(c -> !c.start().isBefore(p.start()) && c.start().isBefore(p.end()))
                    .forEach(c -> sideWord(take.id(), c, byId.get(p.id()), mirrored)));
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
            Finding f = found.add(
                    "match.wrong-side",
                    Severity.FIX,
                    about,
                    CoreText.of(
                            "match.wrong-side.message",
                            c.text(),
                            c.start(),
                            take,
                            said.toLowerCase(Locale.ROOT),
                            about.side().word(),
                            mirrored ? CoreText.of("match.wrong-side.message-2", right) : ""),
                    CoreText.of("match.wrong-side.fix", right),
                    new Finding.Moment(take, new Span<>(c.start(), c.end())));
            misstatements.add(new Misstatement(
                    f,
                    take,
                    new Span<>(c.start(), c.end()),
                    c.text(),
                    c.text().replaceAll("(?i)\\b" + said + "\\b", right),
                    CoreText.of("review.side-words.side", right)));
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
