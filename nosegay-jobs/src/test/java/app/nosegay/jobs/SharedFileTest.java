package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.files.InputFile;
import app.nosegay.logbook.Logbook;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The settings files several windows change. */
class SharedFileTest extends HomeFolder {
    private static Logbook.Entry entry(String text) {
        return new Logbook.Entry("2026-01-02", Logbook.Kind.LESSON, "", text);
    }

    @Test
    void entriesOfSeveralWindowsAreAllKept() throws Exception {
        ExecutorService windows = Executors.newFixedThreadPool(4);
        List<Callable<Logbook>> notes = IntStream.range(0, 40)
                .mapToObj(i -> (Callable<Logbook>) () -> LogbookFile.change(l -> l.with(entry("note " + i))))
                .toList();
        for (var done : windows.invokeAll(notes)) {
            done.get();
        }
        windows.shutdown();
        assertThat(LogbookFile.read().entries())
                .extracting(Logbook.Entry::text)
                .containsExactlyInAnyOrderElementsOf(
                        IntStream.range(0, 40).mapToObj(i -> "note " + i).toList());
    }

    @Test
    void aBrokenFileIsSetAsideUnderADatedNameAndSaid() throws Exception {
        List<String> said = new ArrayList<>();
        FailureLog.shownBy(said::add);
        Files.writeString(home.resolve("logbook.json"), "{ \"entries\": [ {\"text\": \"years of work");
        LogbookFile.change(l -> l.with(entry("new note")));
        assertThat(LogbookFile.read().entries()).extracting(Logbook.Entry::text).containsExactly("new note");
        try (Stream<Path> files = Files.list(home)) {
            Path aside = files.filter(f -> f.getFileName().toString().startsWith("logbook (broken "))
                    .findFirst()
                    .orElseThrow();
            assertThat(Files.readString(aside)).contains("years of work");
            assertThat(said).anyMatch(s -> s.contains(aside.getFileName().toString()));
        }
    }

    @Test
    void ownMovesOfAnotherWindowSurviveAnEditHere() throws Exception {
        Libraries.change(own -> List.of(PrintAndLibraryTest.own("can march")));
        Libraries.change(own -> Libraries.replaced(own, List.of(PrintAndLibraryTest.own("can row"))));
        assertThat(Libraries.own()).hasSize(2);
        Libraries.change(own -> List.of());
    }

    @Test
    void aFileThatCannotBeWrittenKeepsWhatIsThere() throws Exception {
        SharedFile<List<String>> lines = new SharedFile<>(
                "lines.txt", InputFile.TEXT, List.of(), t -> t.lines().toList(), l -> String.join("\n", l));
        lines.change(l -> List.of("one"));
        // A folder in the way of the new version: as a disk that cannot be written.
        Files.createDirectory(home.resolve("lines.txt.part"));
        Files.writeString(home.resolve("lines.txt.part").resolve("x"), "x");
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> lines.change(l -> List.of("one", "two")))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("lines.txt cannot be written");
        assertThat(lines.read()).containsExactly("one");
    }
}
