package app.nosegay.publish;

import app.nosegay.captions.TimedText.Cue;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.List;

/** What video hosts and viewers trip over in chapters and captions. */
public final class PublishCheck {
    /** Hosts show chapters only from this many on. */
    private static final int FEWEST_CHAPTERS = 3;
    /** Captions faster than this cannot be read by many adults, in characters a second (the usual limit of broadcasters is 17 to 20). */
    private static final double FASTEST = 21;
    /** Longer lines are broken by players wherever they like, in characters. */
    private static final int LONGEST_LINE = 42;

    private static final int MOST_LINES = 2;
    /** Captions closer than this but not touching flicker. */
    private static final Length FLICKER = Length.ofMillis(80);

    private PublishCheck() {}

    public static List<Finding> findings(List<Cue> chapters, List<Cue> captions, boolean matched) {
        List<Finding> findings = new ArrayList<>();
        if (matched) {
            chapters(chapters, findings);
            captions(captions, findings);
        }
        return findings;
    }

    private static void chapters(List<Cue> chapters, List<Finding> findings) {
        if (chapters.size() < FEWEST_CHAPTERS) {
            findings.add(Finding.of(
                            "publish.chapters-few",
                            Severity.LOOK,
                            CoreText.of("publish.chapters-few.message", chapters.size()))
                    .withFix(CoreText.of("publish.chapters-few.fix")));
        }
        if (!chapters.isEmpty() && chapters.get(0).span().start().micros() != 0) {
            findings.add(Finding.of(
                    "publish.chapters-start",
                    Severity.FIX,
                    CoreText.of(
                            "publish.chapters-start.message",
                            chapters.get(0).span().start())));
        }
        for (int i = 0; i < chapters.size(); i++) {
            Length length = chapters.get(i).span().length();
            if (length.compareTo(Chapters.SHORTEST) < 0) {
                findings.add(Finding.of(
                        "publish.chapter-short",
                        Severity.FIX,
                        CoreText.of(
                                "publish.chapter-short.message", chapters.get(i).text(), length)));
            }
        }
    }

    private static void captions(List<Cue> captions, List<Finding> findings) {
        int fast = 0;
        int wide = 0;
        int flicker = 0;
        Cue fastest = null;
        for (int i = 0; i < captions.size(); i++) {
            Cue c = captions.get(i);
            if (speed(c) > FASTEST) {
                fast++;
                fastest = fastest == null || speed(c) > speed(fastest) ? c : fastest;
            }
            String[] lines = c.text().split("\n");
            boolean tooWide = lines.length > MOST_LINES;
            for (String line : lines) {
                tooWide |= line.length() > LONGEST_LINE;
            }
            wide += tooWide ? 1 : 0;
            if (i > 0) {
                Length gap = c.span().start().since(captions.get(i - 1).span().end());
                flicker += gap.isPositive() && gap.compareTo(FLICKER) < 0 ? 1 : 0;
            }
        }
        if (fast > 0) {
            findings.add(Finding.of(
                            "publish.caption-fast",
                            Severity.LOOK,
                            CoreText.of(
                                    "publish.caption-fast.message",
                                    fast == 1
                                            ? CoreText.of("publish.caption-fast.message-2")
                                            : CoreText.of("publish.caption-fast.message-3", fast),
                                    fastest.span().start(),
                                    fastest.text().replace('\n', ' '),
                                    speed(fastest)))
                    .withFix(CoreText.of("publish.caption-fast.fix")));
        }
        if (wide > 0) {
            findings.add(Finding.of(
                    "publish.caption-long", Severity.LOOK, CoreText.of("publish.caption-long.message", wide)));
        }
        if (flicker > 0) {
            findings.add(Finding.of(
                    "publish.caption-gap", Severity.NOTE, CoreText.of("publish.caption-gap.message", flicker)));
        }
    }

    private static double speed(Cue cue) {
        return cue.text().replace("\n", " ").length()
                / Math.max(0.05, cue.span().length().seconds());
    }
}
