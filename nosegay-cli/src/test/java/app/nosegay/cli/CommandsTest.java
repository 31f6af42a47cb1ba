package app.nosegay.cli;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.jobs.Demo;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The command line as a user meets it: exit codes, one clear line on stderr, files and JSON that hold to their schemas. */
class CommandsTest {
    private static final Path FORMATS = Path.of("..", "docs", "format");

    @TempDir
    private Path folder;

    private Path sheet(String text) throws IOException {
        return Files.writeString(folder.resolve("plan.runsheet"), text);
    }

    private static void holdsTo(String schema, Path json) throws IOException {
        var validator = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(FORMATS.resolve(schema)));
        assertThat(validator.validate(Files.readString(json), InputFormat.JSON))
                .as(json.toString())
                .isEmpty();
    }

    @Test
    void planPrintsATableAndJsonThatHoldsToItsSchema() throws IOException {
        Path json = folder.resolve("plan.json");
        Ran run = Ran.of("plan", sheet(Demo.sheet()), "--json", json);
        assertThat(run.code()).isZero();
        assertThat(run.out()).contains("raised-beds/single-arm-row/r1/switch", "is kept: the workout lasts 4:00");
        holdsTo("plan.schema.json", json);
    }

    @Test
    void jsonOnStandardOutputIsNothingButJson() throws IOException {
        Ran run = Ran.of("plan", sheet(Demo.sheet()), "--json", "-");
        assertThat(JsonMapper.builder()
                        .build()
                        .readTree(run.out())
                        .path("totalSeconds")
                        .asDouble())
                .isEqualTo(240);
    }

    @Test
    void findingsOfSeverityStopGiveOneAndBadInputTwo() throws IOException {
        assertThat(Ran.of("plan", sheet("promise: 20 min\ntalk Hi  1:00\n")).code())
                .isEqualTo(1);
        Ran mistakes = Ran.of("plan", sheet("circut A  work 0:40\n  squat  tempo 3-1\n"));
        assertThat(mistakes.code()).isEqualTo(1);
        assertThat(mistakes.out()).contains("line 1, column 1: \"circut\"", "Did you mean \"circuit\"?", "a/squat");
        Ran missing = Ran.of("plan", folder.resolve("nowhere.txt"));
        assertThat(missing.code()).isEqualTo(2);
        assertThat(missing.err()).contains("nowhere.txt: file not found").hasLineCount(1);
        assertThat(Ran.of("plan").code()).isEqualTo(2);
        assertThat(Ran.of("plan", "--help").code()).isZero();
        assertThat(Ran.of("dance").err()).contains("dance: is neither a command");
    }

    @Test
    void aBinaryFileIsNotTakenForARunSheet() throws IOException {
        Path binary =
                Files.write(folder.resolve("picture.runsheet"), new byte[] {(byte) 0x89, 'P', 'N', 'G', 0, 0, 1, 2});
        Ran run = Ran.of("plan", binary);
        assertThat(run.code()).isEqualTo(2);
        assertThat(run.err()).contains("picture.runsheet: this is not a run sheet");
    }

    @Test
    void scriptListsWhatIsSaidWhen() throws IOException {
        Ran run = Ran.of("script", sheet(Demo.sheet()));
        assertThat(run.code()).isZero();
        assertThat(run.out())
                .contains("Welcome to Potting Shed Strength.", "Ask your doctor first", "Switch to the left.");
    }

    @Test
    void evidenceAloneIsSimulatedSeededAndNeverOverwritten() throws IOException {
        Path sheet = sheet(Demo.sheet());
        Path a = folder.resolve("a");
        Path b = folder.resolve("b");
        assertThat(Ran.of("simulate", sheet, "--out", a, "--seed", 5, "--trouble", "late-start,hold", "--evidence-only")
                        .code())
                .isZero();
        Ran.of("simulate", sheet, "--out", b, "--seed", 5, "--trouble", "late-start,hold", "--evidence-only");
        assertThat(a.resolve("take-1.truth.json")).hasSameTextualContentAs(b.resolve("take-1.truth.json"));
        holdsTo("match.schema.json", a.resolve("take-1.truth.json"));
        holdsTo("log.schema.json", a.resolve("take-1.log.json"));
        holdsTo("words.schema.json", a.resolve("take-1.words.json"));
        Ran again = Ran.of("simulate", sheet, "--out", a, "--evidence-only");
        assertThat(again.code()).isEqualTo(2);
        assertThat(again.err()).contains("--overwrite");
        assertThat(Ran.of("simulate", sheet, "--out", folder.resolve("c"), "--trouble", "rain")
                        .err())
                .contains("\"rain\" is not a trouble");
    }

    @Test
    void footageThatIsNoneIsSaidByName() throws IOException {
        Path sheet = sheet(Demo.sheet());
        Path text = Files.writeString(folder.resolve("talk.mp4"), "only words");
        Ran run = Ran.of("match", sheet, "--footage", text);
        assertThat(run.code()).isEqualTo(2);
        assertThat(run.err()).startsWith("nosegay: talk.mp4: this is not a video");
        Ran frame = Ran.of("frame", sheet, text, "--json", "-");
        assertThat(frame.code()).isEqualTo(2);
        assertThat(frame.err()).startsWith("nosegay: talk.mp4: this is not a video");
        Path broken = Files.writeString(folder.resolve("x" + ".nosegay.json"), "{\"format\":1");
        assertThat(Ran.of("publish", broken, "--out", folder.resolve("out")).err())
                .contains("x.nosegay.json: this is not a workout file");
    }

    /** The whole path on a short plan, filmed with the real voice. */
    @Test
    void aShortPlanIsFilmedMatchedAndPublished() throws IOException {
        Path sheet = sheet(
                "title: Short\ncalls: in 3, out 3\ntalk Hello  0:12\ncircuit Beds  rounds 1  work 0:10  rest 0:06\n  goblet squat\n"
                        + "  single-arm row  sides halves  switch 0:02\ntalk Bye  0:10\n");
        Path takes = folder.resolve("takes");
        assertThat(Ran.of("simulate", sheet, "--out", takes, "--seed", 21, "--trouble", "clock-rate")
                        .code())
                .isZero();
        Ran frame = Ran.of("frame", sheet, takes.resolve("take-1.mp4"));
        assertThat(frame.code()).isZero();
        assertThat(frame.out())
                .startsWith("Everything that was shown stays in the picture")
                .contains("Not seen in this clip: Standing, arms straight up");
        Path workout = folder.resolve("w.nosegay.json");
        Path json = folder.resolve("match.json");
        Ran match = Ran.of(
                "match",
                sheet,
                "--footage",
                takes.resolve("take-1.mp4"),
                "--log",
                takes.resolve("take-1.log.json"),
                "--transcript",
                takes.resolve("take-1.vtt"),
                "--look",
                "--save",
                workout,
                "--json",
                json);
        assertThat(match.err()).isEmpty();
        assertThat(match.code()).isZero();
        holdsTo("match.schema.json", json);
        holdsTo("workout.schema.json", workout);
        assertThat(Files.readString(workout)).contains("\"file\" : \"takes/take-1.mp4\"");
        JsonNode matched = JsonMapper.builder().build().readTree(json.toFile());
        assertThat(matched.path("takes").get(0).path("evidence").toString()).contains("\"people\"");
        JsonNode found = matched.path("segments");
        JsonNode truth = JsonMapper.builder()
                .build()
                .readTree(takes.resolve("take-1.truth.json").toFile())
                .path("segments");
        for (int k = 0; k < truth.size(); k++) {
            double off = found.get(k).path("start").asDouble()
                    - truth.get(k).path("start").asDouble();
            assertThat(Math.abs(off)).as(truth.get(k).path("id").asText()).isLessThan(1 / 30.0);
        }
        aSecondCamera(sheet, takes.resolve("take-1.mp4"));
        noPerson(sheet, takes.resolve("take-1.mp4"));
        Path out = folder.resolve("out");
        Path proof = folder.resolve("proof.json");
        Ran proven = Ran.of("proof", workout, "--json", proof);
        assertThat(proven.code()).isZero();
        JsonNode told = JsonMapper.builder().build().readTree(proof.toFile());
        assertThat(told.path("proven").asDouble()).isBetween(0.0, 1.0);
        assertThat(proven.out().strip())
                .contains(told.path("sentence").asText())
                .endsWith(Math.round(100 * told.path("proven").asDouble()) + " % of the video is proven.");
        holdsTo("proof.schema.json", proof);
        Path again = folder.resolve("pick-ups.txt");
        Ran.of("proof", workout, "--pick-ups", again);
        assertThat(Files.readString(again)).startsWith("title: ").contains(", pick-ups");
        assertThat(Ran.of("proof", workout, "--pick-ups", again).err()).contains("already exists");
        assertThat(Ran.of("proof", workout, "--apart").out()).doesNotContain("not in the picture");
        assertThat(Ran.of("publish", workout, "--out", out, "--only", "hologram")
                        .err())
                .contains("there is no output \"hologram\"");
        Path shorter = folder.resolve("shorter.nosegay.json");
        Ran none = Ran.of("shorten", workout, "--minutes", 1, "--save", shorter);
        assertThat(none.code()).as("all of it is shorter than a minute").isEqualTo(2);
        assertThat(none.err()).contains("at most 1 min");
        assertThat(shorter).doesNotExist();
        Ran publish = Ran.of("publish", workout, "--out", out, "--only", "video,captions-vtt,chapter-lines");
        assertThat(publish.code()).isZero();
        assertThat(out.resolve("video.mp4")).exists();
        assertThat(Files.readString(out.resolve("captions.vtt")))
                .startsWith("WEBVTT")
                .contains("Go!");
        assertThat(Files.readString(out.resolve("chapters.txt"))).startsWith("0:00 Hello\n");
        assertThat(Ran.of("publish", workout, "--out", out).code()).isEqualTo(2);
    }

    /** The only one who was seen is said to be nobody. */
    private void noPerson(Path sheet, Path film) throws IOException {
        Path saved = folder.resolve("nobody.nosegay.json");
        Ran match = Ran.of("match", sheet, "--footage", film, "--not-a-person", "0:20,50,55", "--save", saved);
        assertThat(match.err()).isEmpty();
        assertThat(match.out()).contains("take-1: ").doesNotContain("people");
        holdsTo("workout.schema.json", saved);
        assertThat(Ran.of("match", sheet, "--footage", film, "--not-a-person", "0:20,2,3")
                        .err())
                .contains("nobody is seen at 0:20,2,3");
        assertThat(Ran.of("match", sheet, "--footage", film, "--not-a-person", "take-9@0:20,50,55")
                        .err())
                .contains("there is no take-9");
        assertThat(Ran.of("match", sheet, "--footage", film, "--not-a-person", "on the left")
                        .err())
                .contains("'on the left' is no place in a picture");
    }

    /** The same film once more stands for another camera: found by its sound, seen in one interval, nothing matched in it. */
    private void aSecondCamera(Path sheet, Path film) throws IOException {
        Path camera = Files.copy(film, folder.resolve("side.mp4"));
        Path both = folder.resolve("both.nosegay.json");
        Ran match = Ran.of(
                "match",
                sheet,
                "--footage",
                film,
                "--second-camera",
                camera,
                "--seen-by-it",
                "beds/goblet-squat",
                "--save",
                both);
        assertThat(match.err()).isEmpty();
        assertThat(match.out()).contains("take-1:").doesNotContain("take-2:");
        holdsTo("workout.schema.json", both);
        JsonNode notes = JsonMapper.builder().build().readTree(both.toFile()).path("match");
        assertThat(notes.path("cameras").get(0).path("laterMicros").asLong()).isBetween(-5_000L, 5_000L);
        assertThat(notes.path("choices").path("beds/goblet-squat").asText()).isEqualTo("take-2");
        assertThat(Ran.of("match", sheet, "--footage", film, "--second-camera", camera, "--seen-by-it", "no/such")
                        .err())
                .contains("there is no interval \"no/such\"");
        assertThat(Ran.of("match", sheet, "--footage", film, "--seen-by-it", "beds/goblet-squat")
                        .err())
                .contains("--second-camera");
    }

    private static final String LONG =
            "title: Long\npromise: 6 min\ntalk Hi  0:30\ncircuit A  rounds 3  work 0:40  rest 0:20\n "
                    + " squat\n  push-up\n  plank\ntalk Bye  0:20\n";

    @Test
    void fitOffersWaysAndWritesTheOneTaken() throws IOException {
        Path json = folder.resolve("fit.json");
        Ran run = Ran.of("fit", sheet(LONG), "--json", json);
        assertThat(run.code()).isZero();
        JsonNode fit = JsonMapper.builder().build().readTree(json.toFile());
        assertThat(fit.path("offers").size()).isGreaterThanOrEqualTo(3);
        Path out = folder.resolve("shorter.runsheet");
        assertThat(Ran.of("fit", sheet(LONG), "--take", 1, "--out", out).code()).isZero();
        assertThat(Ran.of("plan", out).out()).contains("is kept");
        assertThat(Ran.of("fit", sheet(LONG), "--take", 1, "--out", out).err()).contains("already exists");
        assertThat(Ran.of("fit", sheet(LONG), "--rest", "x").code()).isEqualTo(2);
        Ran impossible = Ran.of("fit", sheet(LONG.replace("6 min", "60 min")));
        assertThat(impossible.code()).isEqualTo(1);
        assertThat(impossible.out()).contains("Within these ranges");
    }

    @Test
    void scriptGivesLinesWindowsAndFindingsAndPrintsThePrompter() throws IOException {
        Path json = folder.resolve("script.json");
        Path pdf = folder.resolve("prompter.pdf");
        Ran run = Ran.of("script", sheet(LONG), "--json", json, "--prompter", pdf);
        assertThat(run.code()).isZero();
        holdsTo("script.schema.json", json);
        assertThat(pdf).exists();
        Ran stops = Ran.of("script", sheet(LONG.replace("  squat\n", "  squat\n    why: This cures arthritis.\n")));
        assertThat(stops.code()).isEqualTo(1);
        assertThat(stops.out()).contains("script.claim-cure");
    }

    @Test
    void planWritesTheRunSheetInEveryForm() throws IOException {
        Path csv = folder.resolve("r.csv");
        Path md = folder.resolve("r.md");
        Path pdf = folder.resolve("r.pdf");
        assertThat(Ran.of("plan", sheet(Demo.sheet()), "--csv", csv, "--markdown", md, "--pdf", pdf)
                        .code())
                .isZero();
        assertThat(csv).exists();
        assertThat(md).exists();
        assertThat(pdf).exists();
        assertThat(Ran.of("plan", sheet(Demo.sheet()), "--csv", csv).code()).isEqualTo(2);
    }

    @Test
    void aTranscriptAloneGivesCallsStructureAndTheStartOfASheet() throws IOException {
        Path vtt = Files.writeString(
                folder.resolve("old.vtt"),
                "WEBVTT\n\n00:20.000 --> 00:22.000\nFirst up, squats.\n\n00:30.000 --> 00:33.000\nThree, two, one, go!\n\n"
                        + "01:03.000 --> 01:05.000\nTen seconds left.\n\n01:13.000 --> 01:15.000\nAnd rest.\n");
        Path json = folder.resolve("calls.json");
        Path draft = folder.resolve("draft.runsheet");
        Path chapters = folder.resolve("chapters.txt");
        Ran run = Ran.of("transcript", vtt, "--json", json, "--sheet", draft, "--chapters", chapters);
        assertThat(run.code()).isZero();
        assertThat(run.out()).contains("count-in", "seconds-left", "work");
        holdsTo("transcript.schema.json", json);
        assertThat(Ran.of("plan", draft).out()).contains("squat");
        assertThat(Files.readString(chapters)).startsWith("0:00 Welcome").contains("Squat");
        assertThat(Ran.of("transcript", vtt, "--sheet", draft).err()).contains("already exists");
        Path empty = Files.writeString(folder.resolve("empty.vtt"), "");
        assertThat(Ran.of("transcript", empty).code()).isEqualTo(2);
    }
}
