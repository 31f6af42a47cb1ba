package app.nosegay.cut;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Intervals seen by another camera. */
class SecondCameraTest {
    private static final SecondCamera SIDE =
            new SecondCamera("side", "main", Length.ofSeconds(-3), Length.ofSeconds(80));

    /** Six segments of ten seconds each, one after the other, from 5 s on. */
    private static Match match() {
        List<Match.Placed> placed = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            Time<Axis.Take> from = Time.ofSeconds(5 + 10 * i);
            Time<Axis.Take> to = Time.ofSeconds(15 + 10 * i);
            placed.add(new Match.Placed("s" + i, Length.ofSeconds(10), "main", from, to, from, to, 0, 0, false, false));
        }
        Match.Take take = new Match.Take("main", "main.mp4", Length.ofSeconds(100), null, 0, List.of());
        return new Match(List.of(take), placed, List.of(), Map.of());
    }

    private static Cut cut(MatchNotes notes, Integer... bySide) {
        MatchNotes chosen = notes;
        for (int i : bySide) {
            chosen = chosen.withChoice("s" + i, "side");
        }
        return Cut.of(match(), chosen);
    }

    private static final MatchNotes NOTES = MatchNotes.NONE.withCamera(SIDE);

    @Test
    void thePictureChangesWithTheIntervalAndTheSoundStays() {
        Cut cut = cut(NOTES, 2, 3);
        assertThat(cut.clips()).extracting(c -> c.picture().take()).containsExactly("main", "side", "main");
        assertThat(cut.clips()).extracting(Cut.Clip::take).containsOnly("main");
        Cut.Clip side = cut.clips().get(1);
        assertThat(side.source()).isEqualTo(new Span<>(Time.ofSeconds(25), Time.ofSeconds(45)));
        assertThat(side.picture().source()).isEqualTo(new Span<>(Time.ofSeconds(22), Time.ofSeconds(42)));
        assertThat(cut.total()).isEqualTo(cut(NOTES).total());
        assertThat(cut.shown(match().segments().get(3)))
                .isEqualTo(cut(NOTES).shown(match().segments().get(3)));
        assertThat(cut(MatchNotes.NONE, 2).clips()).as("of no camera known").hasSize(1);
    }

    @Test
    void whatItDidNotSeeIsShownByTheFirst() {
        SecondCamera shortOne = new SecondCamera("side", "main", Length.ofSeconds(-30), Length.ofSeconds(16));
        Cut cut = cut(MatchNotes.NONE.withCamera(shortOne), 0, 3, 5);
        assertThat(cut.clips())
                .filteredOn(c -> c.camera() != null)
                .singleElement()
                .satisfies(c -> assertThat(c.source().start()).isEqualTo(Time.ofSeconds(35)));
        assertThat(NOTES.isSecondCamera("side")).isTrue();
        assertThat(NOTES.withChoice("s1", "side").takeChoices()).isEmpty();
        assertThat(NOTES.withoutCamera("side").cameras()).isEmpty();
    }

    /** Whatever is chosen and cut: the same length, end to end, the same sound, and no picture that is not there. */
    @Property(tries = 150)
    void camerasChangeNothingButThePicture(
            @ForAll @IntRange(min = 0, max = 63) int chosen,
            @ForAll @DoubleRange(min = 0, max = 70) double out,
            @ForAll @DoubleRange(min = 0, max = 12) double length,
            @ForAll @DoubleRange(min = -40, max = 10) double later) {
        SecondCamera camera = new SecondCamera("side", "main", Length.ofSeconds(later), Length.ofSeconds(50));
        MatchNotes notes = MatchNotes.NONE
                .withCamera(camera)
                .withCut(new MatchNotes.CutDecision(
                        "main", new Span<>(Time.ofSeconds(out), Time.ofSeconds(out + length)), true));
        Cut plain = cut(notes);
        List<Integer> by = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            if ((chosen >> i & 1) == 1) {
                by.add(i);
            }
        }
        Cut cut = cut(notes, by.toArray(Integer[]::new));
        assertThat(cut.total()).isEqualTo(plain.total());
        Time<Axis.Cut> at = Time.zero();
        for (Cut.Clip clip : cut.clips()) {
            assertThat(clip.start()).isEqualTo(at);
            assertThat(clip.source().length().isPositive()).isTrue();
            assertThat(clip.camera() == null || camera.saw(clip.source())).isTrue();
            at = clip.end();
        }
        for (double second = 0; second < plain.total().seconds(); second += 0.37) {
            Time<Axis.Cut> when = Time.ofSeconds(second);
            assertThat(cut.clipAt(when).orElseThrow().sourceAt(when))
                    .isEqualTo(plain.clipAt(when).orElseThrow().sourceAt(when));
        }
    }
}
