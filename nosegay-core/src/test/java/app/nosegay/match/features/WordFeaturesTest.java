package app.nosegay.match.features;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.calls.reader.CallReader;
import app.nosegay.captions.Caption;
import app.nosegay.time.Time;
import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What names tell of the order ({@link NameFeatures}), and talk of the welcome and the goodbye ({@link TalkFeatures}). */
class WordFeaturesTest {
    private static final int BINS = 4000;
    private static final List<String> MOVES = List.of("plank", "squat");

    private static SpokenNames.Mention said(String move, double seconds, double weight) {
        return new SpokenNames.Mention(move, Time.ofSeconds(seconds), weight, false);
    }

    private static NameFeatures names(SpokenNames.Mention... said) {
        return new NameFeatures(List.of(said), MOVES, BINS);
    }

    private static double between(double[] sum, double from, double to) {
        return sum[Grid.bin(to)] - sum[Grid.bin(from)];
    }

    @Property(tries = 30)
    void aNameTellsOfTheMoveDoneBehindItAndOfNoOther(@ForAll @IntRange(min = 20, max = 120) int at) {
        NameFeatures features = names(said("plank", at, 1));
        assertThat(between(features.expected("plank"), at + 2, at + 20)).isPositive();
        assertThat(between(features.expected("plank"), at + 30, at + 60)).isZero();
        assertThat(between(features.expected("squat"), 0, 190)).isZero();
        assertThat(features.mentioned("plank", Grid.bin(at - 1), Grid.bin(at + 1)))
                .isEqualTo(MatchWeights.NAMED);
        assertThat(features.mentioned("plank", Grid.bin(at + 1), BINS)).isZero();
    }

    @Example
    void aNameSaidAgainAndAgainTellsOfOneBeginning() {
        NameFeatures features =
                names(said("squat", 30, 1), said("squat", 41, 1), said("squat", 55, 1), said("squat", 120, 1));
        assertThat(features.first("squat")).containsExactly(30.0, 120.0);
        assertThat(features.first("plank")).isEmpty();
    }

    @Example
    void whatIsSaidToComeNextDoesNotBegin() {
        NameFeatures features =
                names(new SpokenNames.Mention("squat", Time.ofSeconds(30), 2, true), said("squat", 70, 1));
        assertThat(features.first("squat")).containsExactly(70.0);
        List<Caption> words = List.of(
                new Caption(Time.ofSeconds(30), Time.ofSeconds(32), "Next, squat."),
                new Caption(Time.ofSeconds(70), Time.ofSeconds(72), "Now squat."));
        assertThat(SpokenNames.in(words, MOVES, CallReader.read(words, MOVES)))
                .extracting(SpokenNames.Mention::ahead)
                .containsExactly(true, false);
    }

    @Example
    void onlyWhatIsAnnouncedIntroduces() {
        NameFeatures named = names(said("plank", 40, 1));
        NameFeatures announced = names(said("plank", 40, 2), said("plank", 50, 2));
        assertThat(between(named.introduced("plank"), 0, 190)).isZero();
        assertThat(between(announced.introduced("plank"), 0, 190))
                .as("announced twice in one rest is one announcement")
                .isEqualTo(2 * MatchWeights.INTRODUCED);
    }

    @Example
    void wordsOutsideTheTakeTellNothing() {
        NameFeatures features = names(said("plank", -3, 2), said("plank", 1000, 2));
        assertThat(between(features.expected("plank"), 0, 199)).isZero();
        assertThat(between(features.introduced("plank"), 3, 199)).isZero();
    }

    private static Caption caption(double from, double to) {
        return new Caption(Time.ofSeconds(from), Time.ofSeconds(to), "words");
    }

    @Property(tries = 30)
    void aGoodbyeIsWhereMostOfTheTimeSomethingIsSaid(@ForAll @IntRange(min = 60, max = 150) int at) {
        TalkFeatures features =
                new TalkFeatures(List.of(caption(10, 12), caption(at, at + 9), caption(at + 10, at + 19)), null, BINS);
        float[] closing = features.closing(20);
        assertThat(closing[Grid.bin(at)]).isGreaterThan(4);
        assertThat(closing[Grid.bin(at - 30)]).as("silence").isLessThan(-4);
        assertThat(closing[Grid.bin(at + 25)]).as("behind the last word").isLessThan(-4);
        float most = 0;
        for (float c : closing) {
            most = Math.max(most, c);
        }
        assertThat(most).as("bounded, however long somebody talks").isLessThanOrEqualTo((float)
                (MatchWeights.SPOKEN_PER_SECOND * MatchWeights.CLOSING_SECONDS / 2));
    }

    @Example
    void theWorkoutIsNotOverWhileSomebodyTalks() {
        TalkFeatures features = new TalkFeatures(List.of(caption(4, 6), caption(100, 104)), null, BINS);
        assertThat(features.greeting()).containsExactly(4.0);
        assertThat(features.unfinished()[Grid.bin(103)]).isNegative();
        assertThat(features.unfinished()[Grid.bin(105)]).isZero();
    }

    @Example
    void withoutWordsNothingIsTold() {
        TalkFeatures features = new TalkFeatures(List.of(), null, BINS);
        assertThat(features.greeting()).isEmpty();
        assertThat(features.closing(20)).containsOnly(0f);
        assertThat(features.unfinished()).containsOnly(0f);
    }

    @Property(tries = 30)
    void whereTheWordsAreNotKnownTheSoundOfSentencesTells(
            @ForAll @IntRange(min = 3, max = 30) int first, @ForAll @IntRange(min = 120, max = 180) int last) {
        boolean[] speech = new boolean[BINS];
        java.util.Arrays.fill(speech, Grid.bin(1), Grid.bin(1.3), true);
        java.util.Arrays.fill(speech, Grid.bin(first), Grid.bin(first + 2), true);
        java.util.Arrays.fill(speech, Grid.bin(last - 3), Grid.bin(last), true);
        TalkFeatures features = new TalkFeatures(List.of(), speech, BINS);
        assertThat(features.greeting()).as("not the clap before it").hasSize(1);
        assertThat(features.greeting().get(0)).isCloseTo(first, within(0.06));
        assertThat(features.unfinished()[Grid.bin(last - 0.5)]).isNegative();
        assertThat(features.unfinished()[Grid.bin(last + 2)]).isZero();
    }

    @Example
    void knownWordsSayMoreThanTheSound() {
        boolean[] speech = new boolean[BINS];
        java.util.Arrays.fill(speech, Grid.bin(1), Grid.bin(3), true);
        assertThat(new TalkFeatures(List.of(caption(4, 6)), speech, BINS).greeting())
                .containsExactly(4.0);
        assertThat(new TalkFeatures(List.of(), new boolean[BINS], BINS).greeting())
                .as("nobody speaks")
                .isEmpty();
    }
}
