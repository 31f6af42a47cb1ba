package app.nosegay.calls.learnt;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.captions.Caption;
import app.nosegay.captions.Speech;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The second opinion on what patterns found. */
class CallRerankerTest {
    private static final List<String> MOVES = List.of("goblet squat", "glute bridge");

    /** A recording of a line every few seconds. */
    private static List<Caption> lines(String... said) {
        List<Caption> captions = new ArrayList<>();
        Time<Axis.Take> at = Time.ofSeconds(1);
        for (String line : said) {
            Time<Axis.Take> next = at.plus(Length.ofSeconds(6));
            captions.add(new Caption(at, next, line));
            at = next;
        }
        return captions;
    }

    private static final List<Caption> CLASS = lines(
            "Welcome to a short strength class.",
            "We'll do three moves, forty seconds each.",
            "The first is the glute bridge.",
            "Three, two, one, go.",
            "Squeeze at the top.",
            "Halfway there.",
            "Ten seconds.",
            "Three, two, one, and rest.",
            "Roll onto your front. Ten press-ups.",
            "Knees are fine.",
            "Off we go.",
            "Keep your back flat.",
            "Half way.",
            "Five more seconds.",
            "And done.",
            "Up to standing for the last one.",
            "Palms up, bend the elbows. Ready? And curl.",
            "No swinging.",
            "Last ten.",
            "Three, two, one.",
            "And let that go.",
            "Thank you, everybody.");

    private static List<CallKind> kinds(List<Call> calls, String words) {
        return calls.stream()
                .filter(c -> words.contains(c.text()))
                .map(Call::kind)
                .toList();
    }

    @Test
    void whatIsLikelyAndWasNotFoundIsAddedWhereItIsSaid() {
        List<Call> patterns = CallReader.byPatterns(CLASS, MOVES);
        List<Call> both = CallReader.read(CLASS, MOVES);
        assertThat(kinds(patterns, "Roll onto your front. Ten press-ups.")).doesNotContain(CallKind.NEXT_UP);
        Call added = both.stream()
                .filter(c -> c.kind() == CallKind.NEXT_UP
                        && c.time().seconds() > 48
                        && c.time().seconds() < 55)
                .findFirst()
                .orElseThrow();
        assertThat("Roll onto your front. Ten press-ups.").contains(added.text());
        assertThat(both).extracting(Call::time).isSorted();
    }

    @Test
    void shortTranscriptsAreReadByPatternsAlone() {
        List<Caption> few = CLASS.subList(0, 10);
        assertThat(CallReader.read(few, MOVES)).isEqualTo(CallReader.byPatterns(few, MOVES));
    }

    @Test
    void aModelThatKnowsNothingLeavesPatternsAlone() {
        List<String> kinds =
                Arrays.stream(CallKind.values()).map(CallKind::word).toList();
        CallModel unsure = CallModel.of(
                "nothing",
                kinds.stream().collect(Collectors.toMap(k -> k, k -> Map.of())),
                kinds.stream().collect(Collectors.toMap(k -> k, k -> -0.7)));
        List<Call> patterns = CallReader.byPatterns(CLASS, MOVES);
        assertThat(CallReranker.of(CLASS, MOVES, unsure, unsure).settle(patterns))
                .containsExactlyInAnyOrderElementsOf(patterns);
    }

    @Test
    void aCountThatGoesUpIsNeverTakenForACountIn() {
        List<String> kinds =
                Arrays.stream(CallKind.values()).map(CallKind::word).toList();
        Map<String, Double> always = kinds.stream().collect(Collectors.toMap(k -> k, k -> -0.7));
        always.put(CallKind.REP_COUNT.word(), -1.2);
        always.put(CallKind.COUNT_IN.word(), 2.0);
        CallModel mistaken =
                CallModel.of("nothing", kinds.stream().collect(Collectors.toMap(k -> k, k -> Map.of())), always);
        List<Caption> counted = lines("The goblet squat. Off we go.", "One, two, three, four, five, six.");
        List<Call> patterns = CallReader.byPatterns(counted, MOVES);
        assertThat(patterns).extracting(Call::kind).contains(CallKind.REP_COUNT);
        assertThat(CallReranker.of(counted, MOVES, mistaken, mistaken).settle(patterns))
                .extracting(Call::kind)
                .contains(CallKind.REP_COUNT)
                .doesNotContain(CallKind.COUNT_IN);
    }

    @Test
    void linesAreSentencesHoweverCaptionsAreBroken() {
        List<Caption> captions = List.of(
                new Caption(Time.ofSeconds(10), Time.ofSeconds(14), "Nearly there. Three, two, one. And rest."),
                new Caption(
                        Time.ofSeconds(2),
                        Time.ofSeconds(9),
                        "so what we do now is that we take the weights up to the shoulders and hold them there"),
                new Caption(Time.ofSeconds(20), Time.ofSeconds(21), "  "));
        List<Caption> lines = CallLines.of(captions);
        assertThat(lines)
                .extracting(Caption::text)
                .containsExactly(
                        "so what we do now is that we",
                        "take the weights up to the shoulders and hold them there",
                        "Nearly there.",
                        "Three, two, one.",
                        "And rest.");
        assertThat(lines).extracting(Caption::start).isSorted();
    }

    @Test
    void aLineEndsWhereNoSentenceIsBroken() {
        List<Caption> captions = List.of(
                new Caption(Time.ofSeconds(2), Time.ofSeconds(4), "so this is going to be a forty five"),
                new Caption(Time.ofSeconds(4), Time.ofSeconds(6), "minute workout with the"),
                new Caption(Time.ofSeconds(6), Time.ofSeconds(8), "dumbbells I have here"),
                new Caption(Time.ofSeconds(30), Time.ofSeconds(32), "five"),
                new Caption(Time.ofSeconds(32), Time.ofSeconds(34), "more"));
        assertThat(CallLines.of(captions))
                .extracting(Caption::text)
                .containsExactly(
                        "so this is going to be",
                        "a forty five minute workout",
                        "with the dumbbells I have here",
                        "five",
                        "more");
    }

    private static List<SpokenNumber> numbers(String said) {
        return SpokenNumber.in(new Speech(List.of(new Caption(Time.zero(), Time.ofSeconds(9), said))));
    }

    @Test
    void numbersAndPlacesOfALine() {
        assertThat(numbers("The third one: eight to ten of them, then twenty."))
                .extracting(SpokenNumber::value, SpokenNumber::to, SpokenNumber::isPlace)
                .contains(tuple(3, null, true), tuple(8, 10, false), tuple(20, null, false));
        assertThat(numbers("The last round, twice.").get(0).value(CallKind.ROUNDS_LEFT, null))
                .isEqualTo(1);
    }

    @Test
    void minutesAreSecondsWhereSecondsAreAsked() {
        assertThat(numbers("Half a minute to go.").get(0).value(CallKind.SECONDS_LEFT, null))
                .isEqualTo(30);
        assertThat(numbers("A minute of each.").get(0).value(CallKind.TOTAL, "work-seconds"))
                .isEqualTo(60);
        SpokenNumber twenty = numbers("It takes twenty minutes.").get(0);
        assertThat(twenty.value(CallKind.TOTAL, "minutes")).isEqualTo(20);
        assertThat(twenty.value(CallKind.TOTAL, "reps")).isNull();
        assertThat(twenty.value(CallKind.ORDINAL, null)).isNull();
    }

    @Test
    void weightsAreNoSeconds() {
        assertThat(new Speech(List.of(new Caption(Time.zero(), Time.ofSeconds(4), "I've got 12s and 30s left"))).text())
                .contains("got 12s ")
                .contains("30 seconds left");
    }

    /** Each number of a line is looked at by itself. */
    @Test
    void severalFiguresInOneLineAreTold() {
        List<Caption> told = new ArrayList<>(CLASS);
        told.set(1, new Caption(Time.ofSeconds(7), Time.ofSeconds(13), "There's eight moves, fifty on, and ten off."));
        assertThat(CallReader.read(told, MOVES))
                .filteredOn(c -> c.kind() == CallKind.TOTAL)
                .extracting(Call::value, Call::of)
                .contains(tuple(8, "moves"), tuple(50, "work-seconds"), tuple(10, "rest-seconds"));
    }

    @Test
    void aNumberIsLikeWhatIsSaidAroundItOnBothSidesOfALineBreak() {
        List<Caption> broken = List.of(
                new Caption(Time.ofSeconds(2), Time.ofSeconds(4), "we do it for thirty"),
                new Caption(Time.ofSeconds(4), Time.ofSeconds(6), "seconds and rest"));
        NumberFeatures traits =
                NumberFeatures.of(broken, new CallLineFeatures(CallLines.of(broken), MOVES).with(List.of()));
        assertThat(traits.size()).isEqualTo(1);
        assertThat(traits.of(0)).contains("+0:seconds", "-0:for", "value:30");
    }
}
