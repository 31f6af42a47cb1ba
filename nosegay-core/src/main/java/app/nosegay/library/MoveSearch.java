package app.nosegay.library;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Looks for moves as they are typed: by name, then by what they are about, then by what was probably meant. */
final class MoveSearch {
    private final MoveLibrary library;

    MoveSearch(MoveLibrary library) {
        this.library = library;
    }

    /** The commonest known word that begins so; itself where none does. */
    private String whole(String typed) {
        return library.moves().stream()
                .flatMap(m -> Stream.of(MoveLibrary.key(m.name()).split(" ")))
                .filter(w -> w.startsWith(typed))
                .collect(Collectors.groupingBy(w -> w, Collectors.counting()))
                .entrySet()
                .stream()
                .max(Map.Entry.<String, Long>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse(typed);
    }

    List<Move> search(String query) {
        String q = MoveLibrary.key(query);
        if (q.isEmpty()) {
            return library.moves();
        }
        List<String> words = List.of(q.split(" "));
        List<Move> starts = new ArrayList<>();
        List<Move> holds = new ArrayList<>();
        List<Move> about = new ArrayList<>();
        for (Move move : library.moves()) {
            String names = names(move);
            String all = names + " " + about(move);
            if (MoveLibrary.key(move.name()).startsWith(q)
                    || move.aliases().stream().anyMatch(a -> MoveLibrary.key(a).startsWith(q))) {
                starts.add(move);
            } else if (words.stream().allMatch(names::contains)) {
                holds.add(move);
            } else if (words.stream().allMatch(all::contains)) {
                about.add(move);
            }
        }
        starts.addAll(holds);
        starts.addAll(about);
        if (starts.isEmpty()) {
            library.likeliest(query).ifPresent(starts::add);
        }
        if (starts.isEmpty() && words.size() > 1) {
            // The last word is still being typed, and a letter before it may be wrong.
            String typed = words.get(words.size() - 1);
            library.likeliest(q.substring(0, q.length() - typed.length()) + whole(typed))
                    .ifPresent(starts::add);
        }
        return starts;
    }

    private static String names(Move move) {
        return Stream.concat(Stream.of(move.name()), move.aliases().stream())
                .map(MoveLibrary::key)
                .collect(Collectors.joining(" "));
    }

    /** Pattern, position, gear and muscles. */
    private static String about(Move move) {
        return String.join(
                " ",
                move.pattern(),
                move.position(),
                String.join(" ", move.gear()),
                move.primary().stream().map(MuscleGroup::word).collect(Collectors.joining(" ")));
    }
}
