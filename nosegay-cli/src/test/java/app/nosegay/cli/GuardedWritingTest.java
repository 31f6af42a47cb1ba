package app.nosegay.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** No command writes over what it reads, over anything unasked, or into folders nobody made. */
class GuardedWritingTest {
    private static final String SHEET = "title: Guarded\ntalk Hi  0:10\ncircuit A  work 0:20  rest 0:10\n  squat\n";
    private static final String WORDS = "WEBVTT\n\n00:00:01.000 --> 00:00:03.000\nWelcome. Three, two, one, go.\n";
    private static final String MINE = "written by somebody, once";

    @TempDir
    private Path folder;

    private Path sheet;
    private Path words;

    @BeforeEach
    void inputs() throws IOException {
        sheet = Files.writeString(folder.resolve("plan.txt"), SHEET);
        words = Files.writeString(folder.resolve("words.vtt"), WORDS);
    }

    private void refused(String why, Object... command) {
        Ran run = Ran.of(command);
        assertThat(run.code()).as(Arrays.toString(command)).isEqualTo(2);
        assertThat(run.err()).as(Arrays.toString(command)).contains(why).hasLineCount(1);
    }

    @Test
    void noCommandWritesOverWhatItReads() throws IOException {
        for (String overwrite : List.of("", "--overwrite")) {
            for (List<Object> command : List.<List<Object>>of(
                    List.of("plan", sheet, "--json", sheet),
                    List.of("plan", sheet, "--csv", sheet),
                    List.of("plan", sheet, "--pdf", folder.resolve("./plan.txt")),
                    List.of("script", sheet, "--json", sheet),
                    List.of("script", sheet, "--prompter", sheet),
                    List.of("fit", sheet, "--json", sheet),
                    List.of("transcript", words, "--json", words),
                    List.of("transcript", words, "--sheet", words),
                    List.of("proof", sheet, "--json", sheet))) {
                List<Object> all = new ArrayList<>(command);
                if (!overwrite.isEmpty()) {
                    all.add(overwrite);
                }
                refused("never written over", all.toArray());
            }
        }
        assertThat(sheet).hasContent(SHEET);
        assertThat(words).hasContent(WORDS);
    }

    @Test
    void aLinkToTheInputIsTheInput() throws IOException {
        Path link = Files.createLink(folder.resolve("other name.json"), sheet);
        refused("never written over", "plan", sheet, "--json", link, "--overwrite");
        assertThat(sheet).hasContent(SHEET);
    }

    @Test
    void whatIsThereIsReplacedOnlyWhereThatIsAsked() throws IOException {
        Path there = Files.writeString(folder.resolve("there.json"), MINE);
        for (List<Object> command : List.<List<Object>>of(
                List.of("plan", sheet, "--json", there),
                List.of("plan", sheet, "--markdown", there),
                List.of("script", sheet, "--json", there),
                List.of("fit", sheet, "--json", there),
                List.of("transcript", words, "--json", there),
                List.of("transcript", words, "--sheet", there),
                List.of("proof", sheet, "--json", there))) {
            refused("already exists", command.toArray());
        }
        assertThat(there).hasContent(MINE);
        assertThat(Ran.of("plan", sheet, "--json", there, "--overwrite").code()).isLessThan(2);
        assertThat(Files.readString(there)).startsWith("{");
    }

    @Test
    void aMistypedPathMakesNoFolders() throws IOException {
        Path typo = folder.resolve("no/such/place/out.pdf");
        for (List<Object> command : List.<List<Object>>of(
                List.of("plan", sheet, "--pdf", typo),
                List.of("plan", sheet, "--json", typo),
                List.of("script", sheet, "--prompter", typo),
                List.of("fit", sheet, "--json", typo),
                List.of("simulate", sheet, "--out", typo, "--evidence-only"),
                List.of("transcript", words, "--sheet", typo))) {
            refused("there is no folder", command.toArray());
        }
        assertThat(folder.resolve("no")).doesNotExist();
    }

    @Test
    void aSimulatedTakeReplacesNoTranscript() throws IOException {
        Path out = Files.createDirectory(folder.resolve("takes"));
        Path mine = Files.writeString(out.resolve("take-1.vtt"), MINE);
        refused("already exists", "simulate", sheet, "--out", out, "--evidence-only");
        assertThat(mine).hasContent(MINE);
        try (Stream<Path> files = Files.list(out)) {
            assertThat(files).containsExactly(mine);
        }
    }

    @Test
    void oneClearLineForEachKindOfBadInput() throws IOException {
        refused("is a folder", "plan", folder);
        refused("device or a pipe", "plan", "/dev/zero");
        refused("device or a pipe", "transcript", "/dev/urandom");
        Path huge = folder.resolve("huge.txt");
        try (var out = Files.newByteChannel(
                huge, java.nio.file.StandardOpenOption.CREATE, java.nio.file.StandardOpenOption.WRITE)) {
            out.position(300L << 20);
            out.write(java.nio.ByteBuffer.wrap(new byte[] {10}));
        }
        refused("holds at most", "plan", huge);
        refused("holds at most", "transcript", huge);
    }
}
