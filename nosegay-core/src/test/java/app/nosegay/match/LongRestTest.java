package app.nosegay.match;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** A break taken inside a rest: what of it can be cut, and that nothing said is. */
class LongRestTest {
    private static final Length PLANNED = Length.ofSeconds(20);

    private static Time<Axis.Take> s(double seconds) {
        return Time.ofSeconds(seconds);
    }

    private static Caption said(double from, double to) {
        return new Caption(s(from), s(to), "something");
    }

    private static TakeEvidence take(Trace loudness, Caption... words) {
        return new TakeEvidence(
                "t", "t.mp4", Length.ofSeconds(300), List.of(), List.of(), loudness, Trace.NONE, null, List.of(words));
    }

    @Test
    void theSilentPartOfABreakIsOffered() {
        TakeEvidence take = take(Trace.NONE, said(95, 103), said(150, 158));
        Span<Axis.Take> cut = UnplannedClassifier.tooLong(take, new Span<>(s(100), s(160)), PLANNED)
                .orElseThrow();
        assertThat(cut.length()).isEqualTo(Length.ofSeconds(40));
        assertThat(cut.start()).isEqualTo(s(106.5));
    }

    @Test
    void whereTooLittleIsSilentOnlyThatIs() {
        TakeEvidence take = take(Trace.NONE, said(95, 110), said(120, 158));
        assertThat(UnplannedClassifier.tooLong(take, new Span<>(s(100), s(160)), PLANNED)
                        .orElseThrow())
                .isEqualTo(new Span<>(s(110.5), s(119.5)));
        TakeEvidence talking = take(Trace.NONE, said(95, 125), said(128, 158));
        assertThat(UnplannedClassifier.tooLong(talking, new Span<>(s(100), s(160)), PLANNED))
                .as("somebody talks all the time")
                .isEmpty();
    }

    @Test
    void withoutATranscriptTheSoundTellsWhereNobodySpeaks() {
        float[] level = new float[3000];
        Arrays.fill(level, -60);
        Arrays.fill(level, 300, 1040, -22);
        Arrays.fill(level, 1500, 2900, -22);
        Span<Axis.Take> cut = UnplannedClassifier.tooLong(
                        take(new Trace(10, level)), new Span<>(s(100), s(160)), PLANNED)
                .orElseThrow();
        assertThat(cut.start()).isEqualTo(s(107));
        assertThat(cut.end()).isEqualTo(s(147));
        Arrays.fill(level, -22);
        assertThat(UnplannedClassifier.tooLong(take(new Trace(10, level)), new Span<>(s(100), s(160)), PLANNED))
                .as("music all the time")
                .isEmpty();
        assertThat(UnplannedClassifier.tooLong(take(Trace.NONE), new Span<>(s(100), s(160)), PLANNED))
                .as("nothing is known of the sound")
                .isEmpty();
    }

    @Property
    void aRestKeptByHandIsLeftAlone(@ForAll @DoubleRange(min = 5, max = 90) double planned) {
        TakeEvidence take = take(Trace.NONE, said(95, 101));
        Span<Axis.Take> rest = new Span<>(s(100), s(100 + planned * 1.2 + 8));
        assertThat(UnplannedClassifier.tooLong(take, rest, Length.ofSeconds(planned))
                        .isPresent())
                .isEqualTo(planned * 0.2 + 8 >= Math.max(12, planned * 0.5));
    }

    @Property
    void neverMoreThanWhatIsTooLongAndNeverAWord(
            @ForAll @DoubleRange(min = 10, max = 60) double planned,
            @ForAll @DoubleRange(min = 0, max = 120) double over,
            @ForAll @DoubleRange(min = 0, max = 60) double word) {
        Span<Axis.Take> rest = new Span<>(s(100), s(100 + planned + over));
        TakeEvidence take = take(Trace.NONE, said(100 + word, 103 + word), said(110 + word, 115 + word));
        UnplannedClassifier.tooLong(take, rest, Length.ofSeconds(planned)).ifPresent(cut -> {
            assertThat(cut.length().seconds()).isLessThanOrEqualTo(over + 1e-6);
            assertThat(cut.start()).isGreaterThanOrEqualTo(rest.start());
            assertThat(cut.end()).isLessThanOrEqualTo(rest.end());
            assertThat(take.words()).noneMatch(w -> new Span<>(w.start(), w.end()).overlaps(cut));
        });
    }
}
