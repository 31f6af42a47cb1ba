package app.nosegay.plan.check;

import app.nosegay.library.Nearest;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** For whom a workout is (docs/domain.md). */
public enum Audience {
    GENERAL("general"),
    BEGINNER("beginner"),
    OLDER_ADULT("older adult", "older adults", "seniors", "older"),
    CHAIR_BASED("chair-based", "chair based", "chair", "seated"),
    PREGNANCY_1("pregnancy 1", "pregnancy first trimester", "first trimester"),
    PREGNANCY_2("pregnancy 2", "pregnancy second trimester", "second trimester", "pregnancy", "pregnant", "prenatal"),
    PREGNANCY_3("pregnancy 3", "pregnancy third trimester", "third trimester"),
    AFTER_BIRTH("after birth", "postnatal", "postpartum", "after pregnancy"),
    SHOULDER("shoulder trouble", "shoulder", "shoulders"),
    KNEE("knee trouble", "knee", "knees"),
    LOWER_BACK("lower-back trouble", "lower-back", "lower back", "back", "back trouble"),
    WRIST("wrist trouble", "wrist", "wrists"),
    RETURNING("returning after treatment", "returning", "after treatment", "recovery");

    private final List<String> words;

    Audience(String... words) {
        this.words = List.of(words);
    }

    /** Its word in run sheets and rules. */
    public String word() {
        return words.get(0);
    }

    /** The audience {@code word} means; empty when it names none. */
    public static Optional<Audience> of(String word) {
        String w = word.strip().toLowerCase(Locale.ROOT);
        return Arrays.stream(values()).filter(a -> a.words.contains(w)).findFirst();
    }

    /** The nearest known audience word, or null. */
    public static String nearest(String word) {
        return Nearest.of(
                word, Arrays.stream(values()).flatMap(a -> a.words.stream()).toList());
    }

    /** Whether {@code word} names people who take longer to change position. */
    static boolean movesSlowly(String word) {
        return of(word).filter(a -> a == OLDER_ADULT
                        || a == CHAIR_BASED
                        || a == PREGNANCY_2
                        || a == PREGNANCY_3
                        || a == PREGNANCY_1)
                .isPresent();
    }
}
