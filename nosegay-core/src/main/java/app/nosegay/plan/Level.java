package app.nosegay.plan;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A named level shown by a presenter.
 *
 * @param name the creator's word for it
 * @param grade easier, main or harder; exactly one level of a workout is main
 * @param place where in the frame it is shown
 */
public record Level(String name, Grade grade, Place place) {
    /** How it compares with the main level. */
    public enum Grade {
        EASIER,
        MAIN,
        HARDER
    }

    /** The third of the frame. */
    public enum Place {
        LEFT,
        CENTRE,
        RIGHT
    }

    static Optional<Level> parse(String text) {
        List<String> words = List.of(text.strip().split("\\s+"));
        Optional<Grade> grade =
                words.stream().flatMap(w -> named(Grade.values(), w).stream()).findFirst();
        Optional<Place> place = words.stream()
                .skip(1)
                .flatMap(w -> named(Place.values(), w.equals("center") ? "centre" : w).stream())
                .findFirst();
        if (grade.isEmpty() || words.size() < 2) {
            return Optional.empty();
        }
        return Optional.of(new Level(words.get(0), grade.get(), place.orElse(Place.CENTRE)));
    }

    private static <E extends Enum<E>> Optional<E> named(E[] values, String word) {
        return Arrays.stream(values)
                .filter(v -> v.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst();
    }
}
