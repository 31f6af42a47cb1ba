package app.nosegay.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.cache.TextMemo;
import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.Nearest;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.Load;
import app.nosegay.plan.terms.Pause;
import app.nosegay.plan.terms.Policy;
import app.nosegay.plan.terms.Presenter;
import app.nosegay.plan.terms.RepPattern;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Tempo;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The values of attributes and headers, one by one. */
class ValuesTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "6; 1; 6; ",
                "6 reps; 1; 6; ",
                "3 x 12; 3; 12; ",
                "3x12; 3; 12; ",
                "2 sets of 8; 2; 8; ",
                "0:20; 1; ; 20",
                "3 x 0:40; 3; ; 40",
                "45s; 1; ; 45",
                "2 × 10; 2; 10; "
            })
    void amountsAreRead(String text, int sets, Integer reps, Integer seconds) {
        Amount a = Amount.parse(text).orElseThrow();
        assertThat(a.sets()).isEqualTo(sets);
        assertThat(a.reps()).isEqualTo(reps);
        assertThat(a.time()).isEqualTo(seconds == null ? null : Length.ofSeconds(seconds));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0", "0 x 12", "twelve", "x", "3 x", "-4", "0:00"})
    void whatIsNoAmountIsRefused(String text) {
        assertThat(Amount.parse(text)).isEmpty();
    }

    @Property
    void anAmountOfRepsLastsAsLongAsItsReps(
            @ForAll @IntRange(min = 1, max = 9) int sets, @ForAll @IntRange(min = 1, max = 99) int reps) {
        Amount a = Amount.parse(sets + " x " + reps).orElseThrow();
        assertThat(a.total(Length.ofSeconds(3)).seconds()).isEqualTo(3.0 * sets * reps);
        assertThat(a.words()).contains("" + reps);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "12 kg; 12.0; false; 12 kg (26 lb)",
                "25 lb; 11.34; false; 11.5 kg (25 lb)",
                "8-12 kg; 10.0; false; 10 kg (22 lb)",
                "2 x 6 kg; 6.0; true; 2 × 6 kg (13 lb)",
                "7.5kg; 7.5; false; 7.5 kg (17 lb)",
                "10 kg each; 10.0; true; 2 × 10 kg (22 lb)"
            })
    void loadsAreShownInBothUnits(String text, double kg, boolean perHand, String shown) {
        Load load = Load.parse(text).orElseThrow();
        assertThat(load.kilograms()).isCloseTo(kg, org.assertj.core.data.Offset.offset(0.005));
        assertThat(load.perHand()).isEqualTo(perHand);
        assertThat(load.shown()).isEqualTo(shown);
    }

    @ParameterizedTest
    @ValueSource(strings = {"light", "medium", "heavy", "very light", "body weight"})
    void weightClassesAreLoadsWithoutAFigure(String text) {
        assertThat(Load.parse(text).orElseThrow().shown()).isEqualTo(text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"12", "kg", "12-8 kg", "a lot", "-3 kg"})
    void whatIsNoLoadIsRefused(String text) {
        assertThat(Load.parse(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "left, right, both; 3; 9.0",
                "press x3, walk back; 2; 12.0",
                "squat 4-0-1, press x2; 2; 11.0",
                "swing 1-0-1 x2; 1; 4.0"
            })
    void repPatternsAddUp(String text, int parts, double seconds) {
        RepPattern p = RepPattern.parse(text).orElseThrow();
        assertThat(p.parts()).hasSize(parts);
        assertThat(p.passLength(Tempo.DEFAULT).seconds()).isEqualTo(seconds);
        assertThat(p.sentence()).containsAnyOf("make one rep", "is one rep");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", ",", "press x0", "press 2-0", "12"})
    void whatIsNoRepPatternIsRefused(String text) {
        assertThat(RepPattern.parse(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "0:30; 30; 30; 30; false", "1:00-2:00; 90; 60; 120; false", "as-needed ~0:45; 45; 0; 135; true",
                        "as-needed; 45; 0; 135; true",
                "until-called ~0:40; 40; 0; 120; true", "until-called 0:40; 40; 0; 120; true",
                        "20 s; 20; 20; 20; false", "2 min; 120; 120; 120; false"
            })
    void restsAreReadInEveryForm(String text, double planned, double least, double most, boolean open) {
        Pause p = Pause.parse(text).orElseThrow();
        assertThat(p.planned().seconds()).isEqualTo(planned);
        assertThat(p.least().seconds()).isEqualTo(least);
        assertThat(p.most().seconds()).isEqualTo(most);
        assertThat(p.open()).isEqualTo(open);
    }

    @ParameterizedTest
    @ValueSource(strings = {"2:00-1:00", "as-needed soon", "-0:30", "0:75", "x"})
    void whatIsNoRestIsRefused(String text) {
        assertThat(Pause.parse(text)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "knee over toes; knee; over toes",
                "press path in front, elbow soft; elbow; soft",
                "end card left; end-card; left",
                "warm-up elsewhere; warm-up; elsewhere",
                "raise height below shoulder; raise height; below shoulder"
            })
    void policiesAreTopicsWithAChoice(String text, String topic, String choice) {
        assertThat(Policy.parse(text).orElseThrow().choice(topic)).contains(choice);
    }

    @Test
    void anUnknownTopicIsAnErrorThatNamesTheTopics() {
        RunSheet sheet =
                SampleSheets.timeline("policy: nose forward\ntalk Hi  0:10\n").sheet();
        assertThat(sheet.errors()).singleElement().satisfies(p -> assertThat(p.message())
                .contains("press path"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "Fern; Fern; 2; CENTRE",
                "Fern leads; Fern; 1; CENTRE",
                "Mary Ann moves left; Mary Ann; 1; LEFT",
                "Ada narrates right; Ada; 1; RIGHT"
            })
    void presentersHaveRolesAndPlaces(String text, String name, int roles, String place) {
        Presenter p = Presenter.parse(text);
        assertThat(p.name()).isEqualTo(name);
        assertThat(p.roles()).hasSize(roles);
        assertThat(p.place()).isEqualTo(Level.Place.valueOf(place));
    }

    @Test
    void attributesOverEachOther() {
        Attributes block = SampleSheets.timeline("talk Hi  0:10\ncircuit A  work 0:40  rest 0:20\n  squat  rest 0:10\n")
                .sheet()
                .blocks()
                .get(1)
                .attributes();
        Attributes move = SampleSheets.timeline("talk Hi  0:10\ncircuit A  work 0:40  rest 0:20\n  squat  rest 0:10\n")
                .sheet()
                .blocks()
                .get(1)
                .moves()
                .get(0)
                .attributes();
        Attributes merged = move.over(block);
        assertThat(merged.pause(Attribute.REST).orElseThrow().planned().seconds())
                .isEqualTo(10);
        assertThat(merged.pause(Attribute.WORK).orElseThrow().planned().seconds())
                .isEqualTo(40);
        assertThat(Attributes.NONE.over(block)).isEqualTo(block);
        assertThat(block.over(Attributes.NONE)).isEqualTo(block);
    }

    @Test
    void everyAttributeWordIsFoundAndSaysWhatItExpects() {
        for (Attribute a : Attribute.values()) {
            assertThat(Attribute.of(a.word())).contains(a);
            assertThat(a.expected()).isNotBlank();
            a.choices()
                    .forEach(c -> assertThat(a.read(c)).as(a.word() + " " + c).isPresent());
        }
        assertThat(Attribute.of("nonsense")).isEmpty();
    }

    @Property(tries = 300)
    void noValueMakesAnyReaderFail(@ForAll @StringLength(max = 40) String text) {
        for (Attribute a : Attribute.values()) {
            assertThat(a.read(text)).isNotNull();
        }
        SampleSheets.timeline("title: " + text + "\npromise: " + text + "\ncalls: " + text + "\ncircuit A  work " + text
                + "\n  " + text + "\n");
    }

    @Property(tries = 200)
    void writingAnAttributeIsReadBackAndWritingItTwiceChangesNothing(
            @ForAll @IntRange(min = 1, max = 99) int rounds, @ForAll @IntRange(min = 0, max = 3) int which) {
        String line = List.of(
                        "circuit A",
                        "circuit A  work 0:40",
                        "circuit A  rounds 7  rest 0:20  # note",
                        "circuit A | rounds 3 | work 0:30")
                .get(which);
        String once = SheetText.with(line, Attribute.ROUNDS, "" + rounds);
        assertThat(SheetText.with(once, Attribute.ROUNDS, "" + rounds)).isEqualTo(once);
        assertThat(SampleSheets.timeline(once + "\n  squat\n")
                        .sheet()
                        .blocks()
                        .get(0)
                        .attributes()
                        .number(Attribute.ROUNDS))
                .contains(rounds);
        assertThat(SheetText.without(once, Attribute.ROUNDS)).doesNotContain("rounds");
    }

    @Test
    void headersAreSetInPlaceOrBehindTheOthers() {
        String sheet = "# note\ntitle: T\npromise: 9 min\ntalk Hi  0:10\n";
        assertThat(SheetText.header(sheet, "promise", "10 min").apply(sheet))
                .isEqualTo(sheet.replace("9 min", "10 min"));
        assertThat(SheetText.header(sheet, "gear", "kettlebell").apply(sheet))
                .isEqualTo("# note\ntitle: T\npromise: 9 min\ngear: kettlebell\ntalk Hi  0:10\n");
        assertThat(SheetText.headerLine(sheet, "title")).isEqualTo(2);
        assertThat(SheetText.headerLine(sheet, "levels")).isZero();
        assertThat(SheetText.headerLine("", "title")).isZero();
    }

    @Test
    void editsOfDifferentLinesGoTogether() {
        SheetEdit both = SheetEdit.replace("a", 1, "one")
                .and(SheetEdit.insert("b", 3, List.of("two and a half")))
                .and(SheetEdit.delete("c", 4, 1));
        assertThat(both.apply("1\n2\n3\n4\n5")).isEqualTo("one\n2\ntwo and a half\n3\n5");
        assertThat(both.name()).isEqualTo("a, b, c");
    }

    @ParameterizedTest
    @CsvSource({"titel, title", "promis, promise", "levles, levels", "xyzzy, ", "gaer, gear"})
    void theNearestWordForgivesASlip(String typed, String meant) {
        assertThat(Nearest.of(typed, List.of("title", "promise", "levels", "gear")))
                .isEqualTo(meant);
    }

    @Test
    void aLongNameIsNotTakenForHalfOfAnother() {
        assertThat(MoveLibrary.shipped().nearestName("watering dance")).isNull();
        assertThat(MoveLibrary.shipped().nearestName("goblet sqaut")).isEqualTo("goblet squat");
    }

    @ParameterizedTest
    @CsvSource({
        "gob, goblet squat",
        "press-up, push-up",
        "hamstring, ",
        "kettlebell, ",
        "calves stretch, ",
        "goblett sqat, goblet squat",
        "row, "
    })
    void searchFindsByNameAliasMuscleAndGear(String query, String first) {
        var found = MoveLibrary.shipped().search(query);
        assertThat(found).isNotEmpty();
        if (first != null) {
            assertThat(found.get(0).name()).isEqualTo(first);
        }
    }

    @Test
    void searchWithoutWordsGivesAll() {
        assertThat(MoveLibrary.shipped().search(" "))
                .hasSize(MoveLibrary.shipped().moves().size());
        assertThat(MoveLibrary.shipped().search("qqqqqqqq")).isEmpty();
        assertThat(MoveLibrary.shipped().parts("squat + overhead press")).hasSize(2);
        assertThat(MoveLibrary.shipped().parts("squat, push-up, nonsense")).hasSize(2);
        assertThat(MoveLibrary.shipped().parts(null)).isEmpty();
    }

    @Test
    void traitsFollowFromPositionPatternAndGear() {
        MoveLibrary l = MoveLibrary.shipped();
        assertThat(l.find("glute bridge").orElseThrow().has("supine")).isTrue();
        assertThat(l.find("push-up").orElseThrow().has("wrist")).isTrue();
        assertThat(l.find("squat").orElseThrow().has("knee-bend")).isTrue();
        assertThat(l.find("squat").orElseThrow().has("floor")).isFalse();
        assertThat(l.find("kettlebell deadlift").orElseThrow().has("loaded-hinge"))
                .isTrue();
        assertThat(l.find("plank").orElseThrow().has("static")).isTrue();
        assertThat(l.find("push-up").orElseThrow().has("static")).isFalse();
        assertThat(l.find("plank").orElseThrow().isFacingAway()).isTrue();
        assertThat(l.find("curl").orElseThrow().isFacingAway()).isFalse();
    }

    @Test
    void whatIsRememberedIsWorkedOutOnce() {
        AtomicInteger times = new AtomicInteger();
        TextMemo<Integer> lengths = new TextMemo<>(text -> {
            times.incrementAndGet();
            return text.length();
        });
        assertThat(lengths.of("four")).isEqualTo(4);
        assertThat(lengths.of("four")).isEqualTo(4);
        assertThat(times).hasValue(1);
        for (int i = 0; i < 30_000; i++) {
            assertThat(lengths.of("" + i)).isEqualTo(("" + i).length());
        }
    }

    @Property
    void speechTakesSyllablesOverRateAndItsPauses(@ForAll @IntRange(min = 2, max = 8) int rate) {
        SpeechRate speech = new SpeechRate(rate, rate);
        String line = "Sit back, stand tall. Breathe out.";
        assertThat(SpeechRate.pauses(line).seconds()).isEqualTo(0.75);
        assertThat(speech.toSay(line, true).seconds())
                .isCloseTo(
                        SpeechRate.syllables(line) / (double) rate + 0.75, org.assertj.core.data.Offset.offset(1e-6));
    }

    @Test
    void optionsAreTheThreeKinds() {
        assertThat(CueKind.words()).hasSize(23);
        assertThat(java.util.Arrays.stream(CueKind.values())
                        .filter(CueKind::isOption)
                        .map(CueKind::word))
                .containsExactly("easier", "harder", "instead");
    }
}
