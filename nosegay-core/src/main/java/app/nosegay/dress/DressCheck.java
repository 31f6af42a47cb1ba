package app.nosegay.dress;

import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.ArrayList;
import java.util.List;

/** What is wrong with the pieces on the picture: mostly where someone put them by hand, or a style of the creator's own. */
public final class DressCheck {
    /** A box over somebody for more than this share of the time hides the presenter. */
    private static final double COVERS = 0.45;
    /** Words are read at this many characters a second by people who are moving, after a look up. */
    private static final double CHARACTERS_PER_SECOND = 15;

    private static final double LOOK_UP_SECONDS = 0.8;

    private DressCheck() {}

    public static List<Finding> findings(Dressing dressing) {
        List<Finding> findings = new ArrayList<>();
        style(dressing.notes().style(), findings);
        if (dressing.notes().sound().hasMusic()
                && dressing.notes().sound().licence().isBlank()) {
            findings.add(Finding.of("sound.licence", Severity.FIX, CoreText.of("sound.licence.message"))
                    .withFix(CoreText.of("sound.licence.fix")));
        }
        for (Layout.Area area : dressing.layout().areas()) {
            area(dressing, area, findings);
        }
        brief(dressing, findings);
        return findings;
    }

    private static void style(Style style, List<Finding> findings) {
        List<Style.Colour> faint = style.faint();
        if (!faint.isEmpty()) {
            double least = faint.stream()
                    .mapToDouble(c -> Contrast.ratio(style.colour(c), style.paper()))
                    .min()
                    .orElseThrow();
            findings.add(Finding.of(
                            "dress.contrast", Severity.FIX, CoreText.of("dress.contrast.message", style.name(), least))
                    .withFix(CoreText.of("dress.contrast.fix")));
        }
        if (24 * style.scale() < Style.LEAST_WORDS * 0.9) {
            findings.add(Finding.of("dress.small", Severity.FIX, CoreText.of("dress.small.message", style.name()))
                    .withFix(CoreText.of("dress.small.fix")));
        }
    }

    private static void area(Dressing dressing, Layout.Area area, List<Finding> findings) {
        Frame frame = dressing.layout().frame();
        List<Layout.Group> groups = new ArrayList<>(area.boxes().keySet());
        for (int i = 0; i < groups.size(); i++) {
            Box box = area.boxes().get(groups.get(i));
            String words = groups.get(i).words();
            if (!box.inside(frame.safe())) {
                findings.add(at(area, "dress.unsafe", Severity.FIX, "The " + words + " reaches outside the safe area"));
            }
            double covers = area.stretch().occupancy().behind(box, frame);
            if (covers > COVERS) {
                findings.add(at(
                        area,
                        "dress.covers",
                        Severity.LOOK,
                        CoreText.of(
                                "dress.covers.message",
                                words,
                                area.anchors().get(groups.get(i)).words(),
                                covers * 100)));
            }
            for (int j = i + 1; j < groups.size(); j++) {
                if (box.overlaps(area.boxes().get(groups.get(j)))) {
                    findings.add(at(
                            area,
                            "dress.overlap",
                            Severity.FIX,
                            "The " + words + " and the " + groups.get(j).words() + " lie over each other"));
                }
            }
        }
    }

    private static Finding at(Layout.Area area, String code, Severity severity, String message) {
        return new Finding(
                code,
                severity,
                area.stretch().interval(),
                0,
                CoreText.of("dress.dress-check.in", message, area.stretch().interval()),
                null,
                null,
                null);
    }

    /** Cards that are gone before they are read; the dresser avoids it, a short recording may not leave the time. */
    private static void brief(Dressing dressing, List<Finding> findings) {
        for (Piece piece : dressing.pieces()) {
            if (piece instanceof Piece.Still still && still.face() instanceof Face.Card card) {
                Span<Axis.Cut> span = piece.span();
                int letters = card.heading().length() + card.text().length();
                double needs = LOOK_UP_SECONDS + letters / CHARACTERS_PER_SECOND;
                if (span.length().seconds() + 0.05 < needs && card.kind() != Face.CardKind.SWITCH) {
                    String interval = dressing.layout()
                            .at(span.start())
                            .map(a -> a.stretch().interval())
                            .orElse(null);
                    findings.add(new Finding(
                            "dress.brief",
                            Severity.LOOK,
                            interval,
                            0,
                            CoreText.of(
                                    "dress.brief.message",
                                    card.heading(),
                                    span.length().seconds(),
                                    span.start(),
                                    needs),
                            null,
                            null,
                            null));
                }
            }
        }
    }
}
