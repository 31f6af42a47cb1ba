package app.nosegay.cut;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.cut.MatchNotes.Mute;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Words that are said and not to be heard. */
class MutingTest {
    private static TakeEvidence take(Caption... words) {
        return new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(100),
                List.of(),
                List.of(),
                Trace.NONE,
                Trace.NONE,
                null,
                List.of(words));
    }

    /** A word every half second, without a pause between them. */
    private static Caption even(double from, String text) {
        String[] words = text.split(" ");
        List<Caption.Word> timed = Arrays.stream(words)
                .map(w -> {
                    double at = from + 0.5 * Arrays.asList(words).indexOf(w);
                    return new Caption.Word(Time.ofSeconds(at), Time.ofSeconds(at + 0.5), w);
                })
                .collect(Collectors.toList());
        return Caption.of(timed);
    }

    private static Mute mute(double from, double to) {
        return new Mute("t", new Span<>(Time.ofSeconds(from), Time.ofSeconds(to)));
    }

    private static String clause(TakeEvidence take, double from, double to) {
        return Muting.clause(List.of(take), "t", mute(from, to).span())
                .map(m -> Muting.words(List.of(take), m))
                .orElse(null);
    }

    @Test
    void aClauseGoesFromFullStopToFullStopAcrossCaptions() {
        TakeEvidence take = take(even(0, "welcome back. we have"), even(2, "five moves today. then rest"));
        assertThat(clause(take, 2.1, 2.4)).isEqualTo("we have five moves today.");
        assertThat(clause(take, 0.1, 0.2)).isEqualTo("welcome back.");
        assertThat(clause(take, 50, 51)).isNull();
        assertThat(Muting.clause(List.of(take), "other", mute(0, 1).span())).isEmpty();
    }

    @Test
    void withoutFullStopsItEndsAtPausesAndIsNeverLong() {
        TakeEvidence paused = take(even(0, "welcome back"), even(1.5, "five moves"), even(3, "then rest"));
        assertThat(clause(paused, 1.6, 1.8)).isEqualTo("five moves");
        String running =
                "a b c d e f g h i j k l m n o p q r s t u v w x y z aa bb cc dd ee ff gg hh ii jj kk ll mm nn";
        assertThat(clause(take(even(0, running)), 10.1, 10.4).split(" ")).hasSizeBetween(3, 29);
    }

    @Test
    void whatIsNotMutedStaysAtItsOwnTime() {
        TakeEvidence take = take(even(0, "one two three four"), even(10, "not this"));
        List<TakeEvidence> heard = Muting.heard(List.of(take), List.of(mute(0.5, 1.5)));
        assertThat(heard.get(0).words()).extracting(Caption::text).containsExactly("one four", "not this");
        assertThat(heard.get(0).words().get(0).words().get(1).start()).isEqualTo(Time.ofSeconds(1.5));
        assertThat(heard.get(0).words().get(1)).isEqualTo(take.words().get(1));
        assertThat(Muting.heard(
                                List.of(take),
                                List.of(new Mute("other", mute(0, 9).span())))
                        .get(0))
                .isSameAs(take);
    }

    /** Every word is either heard or muted, and muting twice is muting once. */
    @Property(tries = 60)
    void everyWordIsHeardOrMuted(
            @ForAll @DoubleRange(min = 0, max = 12) double from, @ForAll @IntRange(min = 0, max = 6) int seconds) {
        TakeEvidence take = take(
                new Caption(Time.ofSeconds(1), Time.ofSeconds(5), "Slow and low, then up we go."),
                even(6, "hold it there for me and breathe"));
        Mute mute = mute(from, from + seconds);
        List<TakeEvidence> heard = Muting.heard(List.of(take), List.of(mute));
        int left = words(heard.get(0));
        String gone = Muting.words(List.of(take), mute);
        assertThat(left + (gone.isEmpty() ? 0 : gone.split(" ").length)).isEqualTo(words(take));
        assertThat(Muting.heard(heard, List.of(mute)).get(0).words())
                .extracting(Caption::text)
                .isEqualTo(heard.get(0).words().stream().map(Caption::text).toList());
    }

    private static int words(TakeEvidence take) {
        return take.words().stream().mapToInt(c -> c.words().size()).sum();
    }

    @Test
    void notesForgetAMuteByWhereItIs() {
        MatchNotes notes =
                MatchNotes.NONE.withMutes(List.of(mute(1, 2), mute(5, 6))).withMutes(List.of(mute(1, 2)));
        assertThat(notes.mutes()).containsExactly(mute(1, 2), mute(5, 6));
        Span<Axis.Take> there = mute(1.5, 1.6).span();
        assertThat(notes.withoutMutes("t", there).mutes()).containsExactly(mute(5, 6));
        assertThat(notes.withoutMutes("other", there).mutes()).hasSize(2);
    }
}
