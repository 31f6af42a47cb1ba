package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import app.nosegay.series.Series;
import app.nosegay.time.Tempo;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Printed sheets read back by another program, own moves in their own file, series from workout files. */
class PrintAndLibraryTest {
    @TempDir
    private Path folder;

    @BeforeEach
    void ownSettings() throws IOException {
        System.setProperty("nosegay.home", folder.toString());
        Libraries.change(own -> List.of());
    }

    @AfterEach
    void back() {
        System.clearProperty("nosegay.home");
    }

    private static Programme demo() {
        return Programme.of(Workout.EMPTY.withSheet(Demo.sheet()), List.of(), List.of(), Libraries.current());
    }

    /** The text of a PDF as pdftotext (poppler-utils) reads it. */
    private static String text(Path pdf) throws IOException, InterruptedException {
        Process reader = new ProcessBuilder("pdftotext", "-layout", pdf.toString(), "-").start();
        String text = new String(reader.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(reader.waitFor()).isZero();
        return text;
    }

    @Test
    void thePrompterHasEveryLineAndAPageForEachBlock() throws Exception {
        Path pdf = PrintJob.write(demo(), PrintJob.Form.PROMPTER_PDF, folder.resolve("p.pdf"));
        String text = text(pdf);
        String flat = text.replaceAll("\\s+", " ");
        demo().cues().lines().stream()
                .filter(l -> !l.isCall() && l.kind() != CueKind.NEXT)
                .forEach(l -> assertThat(flat).contains(l.text()));
        assertThat(text.chars().filter(c -> c == '\f').count())
                .isGreaterThanOrEqualTo(demo().timeline().sheet().blocks().size() - 1);
    }

    @Test
    void theRunSheetNamesEverySegmentWithItsLength() throws Exception {
        String text = text(PrintJob.write(demo(), PrintJob.Form.RUN_SHEET_PDF, folder.resolve("r.pdf")));
        assertThat(text)
                .contains("Potting Shed Strength", "Raised Beds", "Reverse lunge", "0:14", "not medical advice");
    }

    @Test
    void csvHasARowForEachSegmentAndMarkdownATableForEachBlock() throws Exception {
        String csv = Files.readString(PrintJob.write(demo(), PrintJob.Form.RUN_SHEET_CSV, folder.resolve("r.csv")));
        assertThat(csv.lines().count()).isEqualTo(demo().timeline().segments().size() + 1L);
        assertThat(csv).startsWith("start,seconds,kind,block,round,set,move,side,reps,tempo,id");
        String md = Files.readString(PrintJob.write(demo(), PrintJob.Form.RUN_SHEET_MARKDOWN, folder.resolve("r.md")));
        assertThat(md).contains("# Potting Shed Strength", "## Raised Beds", "| 0:14 |");
    }

    @Test
    void wordsOfOthersStayWordsInTablesAndMarkdown() throws Exception {
        Programme trap = Programme.of(
                Workout.EMPTY.withSheet(
                        "title: <b>Hi</b> [here](x)\ncircuit =cmd()  work 0:20\n  @sum squat\n  -2+3 *bold*\n"),
                List.of(),
                List.of(),
                Libraries.current());
        String csv = Files.readString(PrintJob.write(trap, PrintJob.Form.RUN_SHEET_CSV, folder.resolve("t.csv")));
        assertThat(csv.lines().flatMap(l -> java.util.Arrays.stream(l.split(","))))
                .noneMatch(c -> c.matches("\"?[=+@-].*"));
        String md = Files.readString(PrintJob.write(trap, PrintJob.Form.RUN_SHEET_MARKDOWN, folder.resolve("t.md")));
        assertThat(md).contains("# \\<b\\>Hi", "\\[here\\]").doesNotContain("*bold*");
    }

    @Test
    void lettersTheFontDoesNotHaveDoNotStopThePrinting() throws Exception {
        Programme odd = Programme.of(
                Workout.EMPTY.withSheet("title: 體操 🌱 Gärtner\ntalk Hi  0:10\n  cheer: شكرا ok\n"),
                List.of(),
                List.of(),
                Libraries.current());
        assertThat(text(PrintJob.write(odd, PrintJob.Form.RUN_SHEET_PDF, folder.resolve("o.pdf"))))
                .contains("Gärtner");
    }

    static Move own(String name) {
        return new Move(
                name,
                List.of("can carry"),
                "carry",
                "carry",
                Set.of(MuscleGroup.FOREARMS),
                Set.of(),
                "standing",
                List.of("can"),
                "loaded hand",
                Tempo.DEFAULT,
                true,
                "front",
                Set.of("travel"),
                Map.of(CueKind.EASIER, List.of("Half full.")));
    }

    @Test
    void ownMovesAreKeptApartExportedAndBroughtIn() throws IOException {
        Libraries.change(own -> List.of(own("can march")));
        assertThat(Libraries.current().find("can carry").orElseThrow().name()).isEqualTo("can march");
        assertThat(Libraries.current().moves())
                .hasSize(MoveLibrary.shipped().moves().size() + 1);
        assertThat(MoveLibrary.shipped().find("can march")).isEmpty();
        Path file = folder.resolve("mine.json");
        Libraries.write(file, Libraries.own());
        Libraries.change(own -> List.of());
        assertThat(Libraries.current().find("can march")).isEmpty();
        assertThat(Libraries.bringIn(file)).isEqualTo(1);
        assertThat(Libraries.own()).hasSize(1).first().satisfies(m -> {
            assertThat(m.cues(CueKind.EASIER)).containsExactly("Half full.");
            assertThat(m.traits()).containsExactly("travel");
        });
    }

    @Test
    void anOwnMoveOfAShippedNameTakesItsPlace() throws IOException {
        Move squat = own("squat");
        Libraries.change(own -> List.of(squat));
        assertThat(Libraries.current().find("squat").orElseThrow().pattern()).isEqualTo("carry");
        assertThat(Libraries.current().moves())
                .hasSize(MoveLibrary.shipped().moves().size());
    }

    @Test
    void aBrokenFileOfMovesIsNamedAndCostsNothing() throws IOException {
        Path broken = Files.writeString(
                folder.resolve("broken.json"), "{\"moves\":[{\"name\":\"x\",\"primary\":[\"tail\"]}]}");
        assertThatThrownBy(() -> Libraries.bringIn(broken))
                .hasMessageContaining("broken.json")
                .hasMessageContaining("tail");
        assertThatThrownBy(() -> Libraries.bringIn(Files.writeString(folder.resolve("t.json"), "no json")))
                .hasMessageContaining("t.json");
        assertThat(Libraries.own()).isEmpty();
    }

    @Test
    void aSeriesReadsItsWorkoutsAndNamesTheMissing() throws IOException {
        WorkoutFile.save(folder.resolve("a.nosegay.json"), Workout.EMPTY.withSheet(Demo.sheet()));
        WorkoutFile.save(folder.resolve("b.nosegay.json"), Workout.EMPTY.withSheet(Demo.sheet("compost-legs")));
        Series series = Series.EMPTY
                .withEntry(new Series.Entry(1, "a.nosegay.json"))
                .withEntry(new Series.Entry(3, "b.nosegay.json"))
                .withEntry(new Series.Entry(5, "gone.nosegay.json"));
        Path file = folder.resolve("week.series.json");
        SeriesFile.save(file, series);
        SeriesFile.Read read = SeriesFile.read(SeriesFile.open(file), folder);
        assertThat(read.report().days()).hasSize(2);
        assertThat(read.problems()).singleElement().satisfies(p -> assertThat(p).contains("gone.nosegay.json"));
    }

    @Test
    void theNeighboursOfTheDemoKeepTheirPromises() {
        for (String name : List.of("demo", "greenhouse-push", "compost-legs")) {
            Programme p =
                    Programme.of(Workout.EMPTY.withSheet(Demo.sheet(name)), List.of(), List.of(), Libraries.current());
            assertThat(p.timeline().sheet().errors()).as(name).isEmpty();
            assertThat(p.report().promiseKept())
                    .as(name + ": " + p.report().sentence())
                    .isTrue();
        }
    }
}
