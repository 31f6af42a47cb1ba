package app.nosegay.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What people call moves, and what they mean by it. */
class EverydayNamesTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    private static List<String[]> phrases(String file) throws IOException {
        try (InputStream in = EverydayNamesTest.class.getResourceAsStream(file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.isBlank() && !l.startsWith("#"))
                    .map(l -> l.split("\t"))
                    .toList();
        }
    }

    private static String found(String phrase) {
        return LIBRARY.find(phrase).map(Move::name).orElse("");
    }

    @Test
    void everydayPhrasesMeanWhatPeopleMean() throws IOException {
        List<String> wrong = new ArrayList<>();
        for (String[] p : phrases("/everyday-moves.tsv")) {
            if (!found(p[0]).equals(p[1])) {
                wrong.add(p[0] + ": " + p[1] + " but " + found(p[0]));
            }
        }
        assertThat(wrong).isEmpty();
    }

    /** Written once the library was done, and never looked at while it is worked on: the share is what it is. */
    @Test
    void aSecondListIsMostlyUnderstood() throws IOException {
        List<String[]> all = phrases("/everyday-moves-second.tsv");
        List<String> missed = all.stream()
                .filter(p -> !found(p[0]).equals(p[1]))
                .map(p -> p[0] + ": " + p[1] + " but " + found(p[0]))
                .toList();
        assertThat((double) missed.size() / all.size()).as(missed.toString()).isLessThan(0.10);
    }

    /** Case, hyphens and the order of words say nothing. */
    @Test
    void anotherSpellingOfTheSameWordsIsTheSame() throws IOException {
        Random random = new Random(7);
        for (Move move : LIBRARY.moves()) {
            String name = move.name();
            assertThat(found(name.toUpperCase(Locale.ROOT))).as(name).isEqualTo(name);
            assertThat(found(name.replace('-', ' '))).as(name).isEqualTo(name);
            List<String> words = new ArrayList<>(List.of(name.split(" ")));
            Collections.shuffle(words, random);
            assertThat(LIBRARY.find(String.join(" ", words))).as(name).isPresent();
        }
    }

    @ParameterizedTest
    @CsvSource({
        "seated dumbbell bicep curl, seated, dumbbell",
        "kneeling overhead press with a kettlebell, kneeling, kettlebell",
        "kettlebell curls seated, seated, kettlebell",
        "water bottle lateral raises, standing, water bottle",
        "seated lateral raise with bottles, seated, water bottle"
    })
    void gearAndPositionInANameAreTaken(String phrase, String position, String gear) {
        Move move = LIBRARY.find(phrase).orElseThrow();
        assertThat(move.position()).isEqualTo(position);
        assertThat(move.gear().toString()).contains(gear);
    }

    @ParameterizedTest
    @CsvSource({"wiggle squat, squat", "goblett sqat, goblet squat", "mountin climbers, mountain climber"})
    void aDoubtfulNameIsOnlyLikely(String phrase, String likely) {
        assertThat(LIBRARY.find(phrase)).isEmpty();
        assertThat(LIBRARY.likeliest(phrase).map(Move::name)).contains(likely);
    }

    @ParameterizedTest
    @CsvSource({"xylophone", "watering dance", "leg day", "press the button", "raise", "the big one"})
    void whatIsNoMoveIsNone(String phrase) {
        assertThat(LIBRARY.find(phrase)).isEmpty();
    }

    @Test
    void theLibraryIsLarge() {
        assertThat(LIBRARY.moves()).hasSizeGreaterThanOrEqualTo(400);
        assertThat(LIBRARY.names()).hasSizeGreaterThanOrEqualTo(1500);
        for (Move move : LIBRARY.moves()) {
            assertThat(move.cues(CueKind.SETUP)).as(move.name()).isNotEmpty();
            assertThat(move.cues(CueKind.FORM)).as(move.name()).isNotEmpty();
            assertThat(move.cues(CueKind.EASIER)).as(move.name()).isNotEmpty();
        }
    }
}
