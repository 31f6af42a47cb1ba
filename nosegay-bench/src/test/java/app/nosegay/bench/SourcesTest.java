package app.nosegay.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** How large things may be: what cannot be seen at once is not understood at once. */
class SourcesTest {
    private static final int LONGEST_LINE = 140;
    private static final int MOST_FILES = 20;
    private static final int MOST_LINES = 3000;
    private static final int LONGEST_FILE = 350;
    private static final int LONGEST_METHOD = 50;
    private static final int MOST_PARAMETERS = 6;
    private static final int DEEPEST = 3;

    private static List<Path> files(Path root, String ending) throws IOException {
        try (Stream<Path> files = Files.walk(root)) {
            return files.filter(f -> f.toString().endsWith(ending))
                    .filter(f -> !f.toString().contains("target"))
                    .toList();
        }
    }

    @Test
    void noLineOfCodeOrOfPhrasesIsLongerThanAScreen() throws IOException {
        List<String> found = new ArrayList<>();
        List<Path> all = new ArrayList<>(files(Path.of(".."), ".java"));
        all.addAll(files(Path.of(".."), ".phrases"));
        assertThat(all).hasSizeGreaterThan(400);
        for (Path file : all) {
            List<String> lines = Files.readAllLines(file);
            for (int i = 0; i < lines.size(); i++) {
                if (lines.get(i).length() > LONGEST_LINE) {
                    found.add(file.getFileName() + ":" + (i + 1));
                }
            }
        }
        assertThat(found).isEmpty();
    }

    @Test
    void roomsOfTheCoreAreSmall() throws IOException {
        Map<Path, List<Path>> rooms = new TreeMap<>();
        for (Path file : files(Path.of("../nosegay-core/src/main/java"), ".java")) {
            rooms.computeIfAbsent(file.getParent(), x -> new ArrayList<>()).add(file);
        }
        for (Map.Entry<Path, List<Path>> room : rooms.entrySet()) {
            int lines = 0;
            for (Path file : room.getValue()) {
                lines += Files.readAllLines(file).size();
            }
            assertThat(room.getValue()).as(room.getKey().toString()).hasSizeLessThanOrEqualTo(MOST_FILES);
            assertThat(lines).as(room.getKey().toString()).isLessThanOrEqualTo(MOST_LINES);
        }
        assertThat(rooms).hasSizeGreaterThan(20);
    }

    @Test
    void filesMethodsAndTheirNestingFitOnAScreen() throws IOException {
        List<Path> all = files(Path.of(".."), ".java").stream()
                .filter(f -> f.toString().contains("src" + File.separator + "main"))
                .toList();
        List<String> found = new ArrayList<>();
        for (Path file : all) {
            if (Files.readAllLines(file).size() > LONGEST_FILE) {
                found.add(file + " has more than " + LONGEST_FILE + " lines");
            }
        }
        MethodShapes.of(all)
                .filter(m -> m.lines() > LONGEST_METHOD || m.parameters() > MOST_PARAMETERS || m.depth() > DEEPEST)
                .forEach(m -> found.add(m.toString()));
        assertThat(found).isEmpty();
        assertThat(all).hasSizeGreaterThan(400);
    }

    @Test
    void aMethodIsMeasuredAsItIsRead(@TempDir Path folder) throws IOException {
        Path file = folder.resolve("Sample.java");
        Files.writeString(file, """
                class Sample {
                    void a(int b, String c) {
                        for (int i = 0; i < b; i++) {
                            if (i > 2) {
                                b++;
                            } else if (i > 1) {
                                run(() -> {
                                    b--;
                                });
                            }
                        }
                    }
                }
                """);
        assertThat(MethodShapes.of(List.of(file)))
                .containsExactly(new MethodShapes.Shape("Sample.java", "a", 11, 2, 3));
    }
}
