package app.nosegay.paint;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.dress.Contrast;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Dressing;
import app.nosegay.dress.Face;
import app.nosegay.dress.Layout;
import app.nosegay.dress.Piece;
import app.nosegay.dress.PlacedOverlay;
import app.nosegay.dress.Style;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.terms.Level;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.font.FontRenderContext;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class PaintTest {
    private static final List<Face> EVERYTHING = List.of(
            new Face.Timer(Face.Phase.WORK, 27, 40, false),
            new Face.NamePlate("A move with quite a long name, all told", 3, 11, "Round", 1, 2),
            new Face.SideBadge("Right", true),
            new Face.RepCounter(11, 12),
            new Face.GetReady(3),
            new Face.Tempo("down, breathe in", 3),
            new Face.Progress(120, 240, List.of(0, 60, 200)),
            new Face.Card(
                    Face.CardKind.OPTION,
                    "Easier",
                    "A long option that has to be broken into several lines before it fits on its card at all."));

    private static final List<Face> OTHERS = List.of(
            new Face.Timer(Face.Phase.COOL_DOWN, 3599, 3600, true),
            new Face.Timer(Face.Phase.WARM_UP, 0, 40, false),
            new Face.Card(
                    Face.CardKind.TITLE, "A title so long that it hardly fits on one line of it", "11 moves · 26 min"),
            new Face.Card(
                    Face.CardKind.NEXT, "Next: kettlebell deadlift", "Left side first · With kettlebell", "hinge"),
            new Face.Card(Face.CardKind.SECTION, "Ground work", ""),
            new Face.LevelBadge(
                    "Seedling", Level.Place.LEFT, Level.Grade.EASIER, "sit to the bench and stand up again"),
            new Face.LevelBadge("Oak", Level.Place.RIGHT, Level.Grade.HARDER, ""),
            new Face.Caption("Chest tall, weight through\nthe whole foot."),
            new Face.Caption("Chest tall, weight through\nthe whole foot.", "Fern", 1));

    private static final int[][] SIZES = {{1280, 720}, {1920, 1080}, {640, 360}, {720, 720}, {608, 1080}};

    /** Every face in its usual corner. */
    private static List<PlacedOverlay> placed(List<Face> faces, Style style, int width, int height) {
        Dressing usual = new Dressing(
                List.of(), new Layout(Frame.of(width, height), List.of()), DressNotes.NONE.withStyle(style));
        return faces.stream()
                .map(f -> usual.place(new Piece.Still(new Span<>(Time.zero(), Time.ofSeconds(1)), f), f))
                .toList();
    }

    private static BufferedImage painted(List<Face> faces, int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        new PiecePainter(Style.PRESSED).paint(placed(faces, Style.PRESSED, width, height), image);
        return image;
    }

    @Test
    void everyPieceStaysInItsBoxInEveryStyleAndShape() {
        List<Face> all = new ArrayList<>(EVERYTHING);
        all.addAll(OTHERS);
        for (Style style : Style.SHIPPED) {
            for (int[] size : SIZES) {
                for (PlacedOverlay shown : placed(all, style, size[0], size[1])) {
                    BufferedImage image = new BufferedImage(size[0], size[1], BufferedImage.TYPE_INT_ARGB);
                    new PiecePainter(style).paint(List.of(shown), image);
                    double k = size[0] / Frame.of(size[0], size[1]).width();
                    Box b = shown.box();
                    long inside = drawn(
                            image,
                            Math.max(0, (int) (b.x() * k) - 1),
                            Math.max(0, (int) (b.y() * k) - 1),
                            (int) Math.min(size[0] - Math.max(0, (int) (b.x() * k) - 1), b.width() * k + 3),
                            (int) Math.min(size[1] - Math.max(0, (int) (b.y() * k) - 1), b.height() * k + 3));
                    String what = style.name() + " " + size[0] + "x" + size[1] + " " + shown;
                    assertThat(inside).as(what).isPositive();
                    assertThat(drawn(image, 0, 0, size[0], size[1])).as(what).isEqualTo(inside);
                    assertThat(b.inside(Frame.of(size[0], size[1]).safe()))
                            .as(what)
                            .isTrue();
                }
            }
        }
    }

    /** Who speaks is told by a name, a colour and a mark, none of which another has. */
    @Test
    void everyoneWhoSpeaksHasAMarkOfTheirOwn() {
        List<BufferedImage> seen = new ArrayList<>();
        for (int who = 0; who < 4; who++) {
            BufferedImage own = painted(List.of(new Face.Caption("Go!", "Fern", who)), 1280, 720);
            for (BufferedImage other : seen) {
                assertThat(differs(own, other)).as("presenter " + who).isGreaterThan(60);
            }
            seen.add(own);
        }
        BufferedImage alone = painted(List.of(new Face.Caption("Go!")), 1280, 720);
        assertThat(differs(alone, seen.get(0))).isGreaterThan(1000);
    }

    private static long differs(BufferedImage a, BufferedImage b) {
        long n = 0;
        for (int y = 0; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                n += a.getRGB(x, y) == b.getRGB(x, y) ? 0 : 1;
            }
        }
        return n;
    }

    @Test
    void wordsStandOutInEveryStyleOverAnyPicture() {
        for (Style style : Style.SHIPPED) {
            double enough = Contrast.enough(style, 0, 255);
            assertThat(Contrast.over(style.ink(), style.paper(), enough, 0)).isGreaterThanOrEqualTo(4.5);
            assertThat(Contrast.over(style.ink(), style.paper(), enough, 255)).isGreaterThanOrEqualTo(4.5);
            assertThat(Contrast.over(style.faded(), style.paper(), enough, 255)).isGreaterThanOrEqualTo(4.5);
            for (int colour : List.of(
                    style.work(), style.rest(), style.count(), style.option(), style.caution(), style.voice())) {
                assertThat(Contrast.ratio(colour, style.paper()))
                        .as(style.name() + " " + Integer.toHexString(colour))
                        .isGreaterThanOrEqualTo(4.5);
            }
        }
    }

    @Test
    void workAndRestAreToldApartWithoutRedOrGreen() {
        for (Style style : Style.SHIPPED) {
            double[] work = withoutRedGreen(style.work());
            double[] rest = withoutRedGreen(style.rest());
            double apart = Math.sqrt(
                    Math.pow(work[0] - rest[0], 2) + Math.pow(work[1] - rest[1], 2) + Math.pow(work[2] - rest[2], 2));
            assertThat(apart).as(style.name()).isGreaterThan(40);
        }
    }

    /** Deuteranopia by the matrix of Machado, Oliveira and Fernandes (2009), severity 1. */
    private static double[] withoutRedGreen(int rgb) {
        double r = rgb >> 16 & 255;
        double g = rgb >> 8 & 255;
        double b = rgb & 255;
        return new double[] {
            0.367322 * r + 0.860646 * g - 0.227968 * b,
            0.280085 * r + 0.672501 * g + 0.047413 * b,
            -0.011820 * r + 0.042940 * g + 0.968881 * b
        };
    }

    private static long drawn(BufferedImage image, int x, int y, int w, int h) {
        long n = 0;
        for (int py = y; py < y + h; py++) {
            for (int px = x; px < x + w; px++) {
                n += image.getRGB(px, py) >>> 24 > 60 ? 1 : 0;
            }
        }
        return n;
    }

    @Test
    void allTenDigitsAreOfOneWidth() {
        for (Font font : List.of(Typefaces.text(40), Typefaces.strong(40), Typefaces.digits(40))) {
            FontRenderContext context = new FontRenderContext(null, true, true);
            double one = font.getStringBounds("1", context).getWidth();
            for (char digit = '0'; digit <= '9'; digit++) {
                assertThat(font.getStringBounds("" + digit, context).getWidth())
                        .as(font + " " + digit)
                        .isEqualTo(one);
            }
        }
    }

    @Test
    void nothingIsDrawnOutsideTheSafeMargin() {
        for (int[] size : new int[][] {{1280, 720}, {1920, 1080}, {640, 360}, {960, 720}}) {
            BufferedImage image = painted(EVERYTHING, size[0], size[1]);
            int mx = (int) (size[0] * 0.045);
            int my = (int) (size[1] * 0.045);
            assertThat(drawn(image, 0, 0, size[0], my)).isZero();
            assertThat(drawn(image, 0, size[1] - my, size[0], my)).isZero();
            assertThat(drawn(image, 0, 0, mx, size[1])).isZero();
            assertThat(drawn(image, size[0] - mx, 0, mx, size[1])).isZero();
        }
    }

    @Test
    void theMiddleStaysFreeForThePresenter() {
        BufferedImage image = painted(EVERYTHING, 1280, 720);
        assertThat(drawn(image, 540, 200, 200, 460)).isZero();
    }

    @Test
    void equalFacesGiveEqualPixelsAndOthersDoNot() {
        BufferedImage a = painted(EVERYTHING, 1280, 720);
        BufferedImage b = painted(EVERYTHING, 1280, 720);
        BufferedImage c = painted(List.of(new Face.Timer(Face.Phase.WORK, 26, 40, false)), 1280, 720);
        BufferedImage d = painted(List.of(new Face.Timer(Face.Phase.WORK, 27, 40, false)), 1280, 720);
        assertThat(same(a, b)).isTrue();
        assertThat(same(c, d)).isFalse();
        assertThat(same(painted(List.of(), 320, 180), new BufferedImage(320, 180, BufferedImage.TYPE_INT_ARGB)))
                .isTrue();
    }

    private static boolean same(BufferedImage a, BufferedImage b) {
        for (int y = 0; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                if (a.getRGB(x, y) != b.getRGB(x, y)) {
                    return false;
                }
            }
        }
        return true;
    }

    @Test
    void everyColourStandsOutFromThePaper() {
        for (Color c : List.of(
                Palette.INK,
                Palette.FADED_INK,
                Palette.WORK,
                Palette.REST,
                Palette.VOICE,
                Palette.COUNT,
                Palette.OPTION,
                Palette.CAUTION)) {
            assertThat(contrast(c, Palette.PAPER)).as(c.toString()).isGreaterThanOrEqualTo(4.5);
        }
    }

    /** The contrast ratio of WCAG 2.1. */
    private static double contrast(Color a, Color b) {
        double la = luminance(a);
        double lb = luminance(b);
        return (Math.max(la, lb) + 0.05) / (Math.min(la, lb) + 0.05);
    }

    private static double luminance(Color c) {
        double[] rgb = {c.getRed() / 255.0, c.getGreen() / 255.0, c.getBlue() / 255.0};
        for (int i = 0; i < 3; i++) {
            rgb[i] = rgb[i] <= 0.03928 ? rgb[i] / 12.92 : Math.pow((rgb[i] + 0.055) / 1.055, 2.4);
        }
        return 0.2126 * rgb[0] + 0.7152 * rgb[1] + 0.0722 * rgb[2];
    }

    @Test
    void everyMoveHasADrawnMotionThatMoves() {
        for (Move move : MoveLibrary.shipped().moves()) {
            assertThat(Motion.isKnown(move.motion()))
                    .as(move.name() + ": " + move.motion())
                    .isTrue();
            Motion motion = Motion.of(move.figure());
            assertThat(same(figure(motion, 0, false), figure(motion, 1, false)))
                    .as(move.name())
                    .isFalse();
        }
    }

    @Test
    void whoeverSitsOrKneelsIsDrawnSo() {
        for (String motion : List.of("press", "curl", "raise", "row", "march")) {
            BufferedImage standing = figure(Motion.of(motion), 1, false);
            for (String position : List.of("seated", "kneeling")) {
                BufferedImage held = figure(Motion.of(motion + "@" + position), 1, false);
                assertThat(highest(held)).as(motion + " " + position).isGreaterThan(highest(standing) + 8);
            }
        }
        assertThat(same(figure(Motion.of("bridge@lying-back"), 1, false), figure(Motion.of("bridge"), 1, false)))
                .as("drawn lying as it is")
                .isTrue();
    }

    /** The first row with something drawn in it. */
    private static int highest(BufferedImage image) {
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                if (image.getRGB(x, y) >>> 24 > 128) {
                    return y;
                }
            }
        }
        return image.getHeight();
    }

    @Test
    void bothSidesOfAOneSidedMoveLookDifferent() {
        for (String name : List.of("lunge", "row", "side-lunge", "march", "bird-dog")) {
            assertThat(same(figure(Motion.of(name), 1, false), figure(Motion.of(name), 1, true)))
                    .as(name)
                    .isFalse();
        }
    }

    private static BufferedImage figure(Motion motion, double phase, boolean swapped) {
        BufferedImage image = new BufferedImage(300, 200, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        Figure.presenter().draw(g, new Figure.Stance(motion, phase, swapped, Figure.Prop.KETTLEBELL), 150, 180, 150);
        g.dispose();
        return image;
    }
}
