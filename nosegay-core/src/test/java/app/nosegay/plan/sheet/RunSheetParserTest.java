package app.nosegay.plan.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.terms.CallStyle;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.RepPattern;
import java.time.Duration;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RunSheetParserTest {
    private static RunSheet parse(String text) {
        return RunSheetParser.parse(text, MoveLibrary.shipped());
    }

    @Test
    void theExampleReadsWithoutErrorsAndKeepsItsText() {
        RunSheet sheet = parse(SampleSheets.wheelbarrow());
        assertThat(sheet.errors()).isEmpty();
        assertThat(sheet.text()).isEqualTo(SampleSheets.wheelbarrow());
        assertThat(sheet.header().title()).isEqualTo("Wheelbarrow Legs and Back");
        assertThat(sheet.header().mirrored()).isTrue();
        assertThat(sheet.header().calls()).isEqualTo(new CallStyle(true, java.util.List.of(10, 5), 3, 3));
        assertThat(sheet.header().levels())
                .extracting(Level::name, Level::grade, Level::place)
                .containsExactly(
                        tuple("Seedling", Level.Grade.EASIER, Level.Place.LEFT),
                        tuple("Sapling", Level.Grade.MAIN, Level.Place.CENTRE),
                        tuple("Oak", Level.Grade.HARDER, Level.Place.RIGHT));
        assertThat(sheet.blocks()).hasSize(11);
    }

    @Test
    void cuesAndLevelsBelongToTheirMove() {
        RunSheet sheet = parse(SampleSheets.wheelbarrow());
        RunSheet.MoveLine squat = sheet.blocks().get(2).moves().get(0);
        assertThat(squat.cues())
                .extracting(RunSheet.Cue::kind)
                .containsExactly(CueKind.FORM, CueKind.EASIER, CueKind.HARDER);
        RunSheet.MoveLine lunge = sheet.blocks().get(2).moves().get(2);
        assertThat(lunge.levels())
                .extracting(RunSheet.LevelLine::level, RunSheet.LevelLine::move)
                .containsExactly(tuple("Oak", "deep split squat"));
        assertThat(sheet.blocks().get(0).cues()).extracting(RunSheet.Cue::kind).containsExactly(CueKind.CAUTION);
    }

    @Test
    void tenMistakesGiveTenErrorsWithPlacesAndTheRestLoads() {
        String text = String.join(
                "\n",
                "titel: Ten Slips",
                "promise: quarter of an hour",
                "levels: Low easier, High harder",
                "calls: half, soon",
                "circut Legs  rounds 2  work 0:40  rest 0:20",
                "  squat  wieght 12 kg",
                "  reverse lunge  sides alternately",
                "  push-up  tempo 3-1",
                "    fom: Elbows back.",
                "  curl  work forty",
                "  crunch  reps none",
                "");
        RunSheet sheet = parse(text);
        assertThat(sheet.errors())
                .extracting(Problem::line, Problem::found, Problem::nearest)
                .contains(
                        tuple(1, "titel", "title"),
                        tuple(2, "quarter of an hour", null),
                        tuple(5, "circut", "circuit"),
                        tuple(6, "wieght", null),
                        tuple(7, "alternately", "alternate"),
                        tuple(8, "3-1", "3-1-1"),
                        tuple(9, "fom", "form"),
                        tuple(10, "forty", null),
                        tuple(11, "none", null));
        assertThat(sheet.errors()).hasSize(11);
        assertThat(sheet.blocks()).hasSize(1);
        assertThat(sheet.blocks().get(0).moves()).hasSize(5);
        assertThat(SampleSheets.timeline(text).segments()).isNotEmpty();
    }

    @Test
    void columnsPointAtTheWord() {
        Problem p = parse("circuit A  work 0:40\n  squat  tempo 3-1\n").errors().get(0);
        assertThat(p.line()).isEqualTo(2);
        assertThat(p.column()).isEqualTo("  squat  tempo ".length() + 1);
        assertThat(p.message()).startsWith("line 2, column 16: \"3-1\" is not a tempo");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "circuit A | work 0:40 | rest 0:20",
                "circuit A\twork 0:40\trest 0:20",
                "circuit A    work 0:40   rest 0:20"
            })
    void attributesMayBePartedBySpacesTabsOrBars(String line) {
        RunSheet sheet = parse(line + "\n\tsquat\n");
        assertThat(sheet.errors()).isEmpty();
        assertThat(sheet.blocks()
                        .get(0)
                        .attributes()
                        .pause(Attribute.REST)
                        .orElseThrow()
                        .planned()
                        .seconds())
                .isEqualTo(20);
        assertThat(sheet.blocks().get(0).moves()).hasSize(1);
    }

    @Test
    void windowsLineEndsMarksAndCommentsAreFine() {
        RunSheet sheet = parse("\ufefftitle: Ok # not part of it\r\n\r\n# a comment\r\ntalk Hi  0:10  # why\r\n");
        assertThat(sheet.errors()).isEmpty();
        assertThat(sheet.header().title()).isEqualTo("Ok");
        assertThat(sheet.blocks().get(0).length().planned().seconds()).isEqualTo(10);
    }

    @Test
    void anUnknownMoveIsKeptAndNoted() {
        RunSheet sheet = parse("circuit A  work 0:40\n  gobblet squat\n  moonwalk shuffle\n");
        assertThat(sheet.errors()).isEmpty();
        assertThat(sheet.problems()).extracting(Problem::nearest).containsExactly("goblet squat", null);
        assertThat(sheet.blocks().get(0).moves())
                .extracting(RunSheet.MoveLine::name)
                .containsExactly("gobblet squat", "moonwalk shuffle");
    }

    @ParameterizedTest
    @CsvSource({"0:40,40", "45s,45", "1:05:00,3900", "2 min,120", "0:17.5,17.5", "90 s,90"})
    void durationsReadAsWritten(String text, double seconds) {
        RunSheet sheet = parse("talk Hi  " + text + "\n");
        assertThat(sheet.errors()).isEmpty();
        assertThat(sheet.blocks().get(0).length().planned().seconds()).isEqualTo(seconds);
    }

    @Test
    void overridesTurnsAndOptionsWithConditionsAreRead() {
        RunSheet sheet = parse(
                "circuit A  rounds 2  work 0:40\n  squat\n    round 2: tempo 4-0-1  reps 8\n    view side at 0:20\n"
                        + "    easier 2 for knee: Sit on a chair.\n    rep: left, right, both\n");
        assertThat(sheet.errors()).isEmpty();
        RunSheet.MoveLine move = sheet.blocks().get(0).moves().get(0);
        assertThat(move.overrides().get(0).attributes().tempo().orElseThrow().text())
                .isEqualTo("4-0-1");
        assertThat(move.overrides().get(0).attributes().reps().orElseThrow().perSet())
                .containsExactly(8);
        assertThat(move.turns()).extracting(RunSheet.ViewTurn::view).containsExactly("side");
        assertThat(move.cues())
                .extracting(RunSheet.Cue::rung, RunSheet.Cue::condition)
                .containsExactly(tuple(2, "knee"));
        assertThat(move.attributes().rep().orElseThrow().parts())
                .extracting(RepPattern.Part::name)
                .containsExactly("left", "right", "both");
    }

    @Test
    void rubbishNeverFails() {
        for (String text : new String[] {
            "",
            "\n\n\n",
            "\u0000\u0001",
            ":::",
            "   indented first",
            "شدة عالية  work 0:40",
            "circuit\n  \n  +\n",
            "rest\nrest\nrest"
        }) {
            assertThat(parse(text).text()).isEqualTo(text);
        }
    }

    @Test
    void fiveThousandLinesReadQuickly() {
        StringBuilder text = new StringBuilder("circuit Long  work 0:40  rest 0:20\n");
        for (int i = 0; i < 5000; i++) {
            text.append("  squat number ").append(i).append("  wieght 3\n");
        }
        Assertions.assertThatCode(() -> org.junit.jupiter.api.Assertions.assertTimeout(
                        Duration.ofSeconds(8), () -> parse(text.toString())))
                .doesNotThrowAnyException();
    }
}
