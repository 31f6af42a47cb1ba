package app.nosegay.plan.terms;

import app.nosegay.plan.Place;
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

    public static Optional<Level> parse(String text) {
        List<String> words = List.of(text.strip().split("\\s+"));
        int at = 0;
        while (at < words.size() && named(Grade.values(), words.get(at)).isEmpty()) {
            at++;
        }
        Optional<Grade> grade = at < words.size() ? named(Grade.values(), words.get(at)) : Optional.empty();
        Optional<Place> place = words.stream()
                .skip(1)
                .flatMap(w -> named(Place.values(), w.equals("center") ? "centre" : w).stream())
                .findFirst();
        if (grade.isEmpty() || at == 0) {
            return Optional.empty();
        }
        return Optional.of(new Level(String.join(" ", words.subList(0, at)), grade.get(), place.orElse(Place.CENTRE)));
    }

    private static <E extends Enum<E>> Optional<E> named(E[] values, String word) {
        return Arrays.stream(values)
                .filter(v -> v.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst();
    }
}
