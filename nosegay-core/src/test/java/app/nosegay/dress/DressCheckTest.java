package app.nosegay.dress;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.dress.Layout.Group;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.plan.Finding;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is told about pieces on the picture and about a style, and what is not. */
class DressCheckTest {
    private static Layout layout(Frame frame, DressNotes notes) {
        Layout.Stretch stretch = new Layout.Stretch(
                "b/m",
                "b",
                new Span<>(Time.zero(), Time.ofSeconds(20)),
                EnumSet.allOf(Group.class),
                new Layout.Needs(true, true, true, 470, 196),
                List.of(),
                OccupancyMap.none());
        return Layout.of(List.of(stretch), frame, notes);
    }

    private static List<String> codes(DressNotes notes, Frame frame, Piece... pieces) {
        return DressCheck.findings(new Dressing(List.of(pieces), layout(frame, notes), notes)).stream()
                .map(Finding::code)
                .toList();
    }

    private static Piece card(double from, double to, String text) {
        return new Piece.Still(
                new Span<>(Time.ofSeconds(from), Time.ofSeconds(to)), new Face.Card(Face.CardKind.NEXT, "Next", text));
    }

    static List<Frame> frames() {
        return List.of(Frame.LANDSCAPE, Frame.portrait(0.5), Frame.square(0.5));
    }

    @ParameterizedTest
    @MethodSource("frames")
    void whatIsPlacedByItselfDrawsNothing(Frame frame) {
        assertThat(codes(DressNotes.NONE, frame)).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.85, 0.89})
    void aStyleTooSmallForAPhoneIsTold(double scale) {
        Style small = Style.PRESSED.shaped(scale, true, Style.Edge.STRIPE, 10, 0.9);
        assertThat(codes(DressNotes.NONE.withStyle(small), Frame.LANDSCAPE)).contains("dress.small");
    }

    @Test
    void wordsThatHardlyStandOutAreTold() {
        Style faint = Style.PRESSED.with(Style.Colour.INK, Style.PRESSED.paper());
        assertThat(codes(DressNotes.NONE.withStyle(faint), Frame.LANDSCAPE)).contains("dress.contrast");
    }

    @Test
    void theShippedStylesAreLargeAndClearEnough() {
        assertThat(Style.SHIPPED).hasSizeGreaterThanOrEqualTo(4).allSatisfy(style -> {
            assertThat(codes(DressNotes.NONE.withStyle(style), Frame.LANDSCAPE))
                    .doesNotContain("dress.small", "dress.contrast");
        });
    }

    @Test
    void aCardThatIsGoneBeforeItIsReadIsTold() {
        String long_ = "Goblet squat, then put the kettlebell down and fetch the band";
        assertThat(codes(DressNotes.NONE, Frame.LANDSCAPE, card(2, 3.5, long_))).containsExactly("dress.brief");
        assertThat(codes(DressNotes.NONE, Frame.LANDSCAPE, card(2, 9, long_))).isEmpty();
    }

    @Test
    void musicWithoutALicenceNoteIsTold() {
        DressNotes.Sound sound = DressNotes.NONE.sound().withMusicAt("bed.wav");
        assertThat(codes(DressNotes.NONE.withSound(sound), Frame.LANDSCAPE)).containsExactly("sound.licence");
    }
}
