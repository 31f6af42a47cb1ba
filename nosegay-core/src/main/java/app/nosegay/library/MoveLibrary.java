package app.nosegay.library;

import app.nosegay.cache.TextMemo;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;

/** All known moves, found by name or alias, whatever the case and plural. */
public final class MoveLibrary {
    private static final String SHIPPED = "moves.json";
    private static final Pattern NOT_WORD = Pattern.compile("[^\\p{L}\\p{N}]+");
    private static MoveLibrary shipped;

    private final List<Move> moves;
    private final Map<String, Move> byName = new TreeMap<>();
    /** Names are looked up many times while a plan is computed; what they mean does not change. */
    private final TextMemo<Optional<Move>> found = new TextMemo<>(this::named);

    public MoveLibrary(Collection<Move> moves) {
        this.moves = List.copyOf(moves);
        for (Move move : moves) {
            byName.put(key(move.name()), move);
            move.aliases().forEach(alias -> byName.putIfAbsent(key(alias), move));
        }
    }

    /** The library that comes with the application. */
    public static synchronized MoveLibrary shipped() {
        if (shipped == null) {
            try (InputStream in = MoveLibrary.class.getResourceAsStream(SHIPPED)) {
                shipped = read(in);
            } catch (IOException e) {
                throw new UncheckedIOException("the shipped move library " + SHIPPED + " cannot be read", e);
            }
        }
        return shipped;
    }

    /** Reads a library file (docs/format/moves.md). */
    public static MoveLibrary read(InputStream in) throws IOException {
        return new MoveLibrary(MoveJson.read(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
    }

    /** This library with {@code more}; of two moves of one name the later counts. */
    public MoveLibrary with(Collection<Move> more) {
        Map<String, Move> all = new LinkedHashMap<>();
        moves.forEach(m -> all.put(m.name(), m));
        more.forEach(m -> all.put(m.name(), m));
        return new MoveLibrary(all.values());
    }

    public List<Move> moves() {
        return moves;
    }

    /** All names and aliases. */
    public List<String> names() {
        List<String> names = new ArrayList<>();
        for (Move move : moves) {
            names.add(move.name());
            names.addAll(move.aliases());
        }
        return names;
    }

    /** The move called {@code name}, by name or alias. */
    public Optional<Move> find(String name) {
        return found.of(name);
    }

    private Optional<Move> named(String name) {
        return Optional.ofNullable(byName.get(key(name)));
    }

    /** The known moves in {@code name}: one, or those joined by {@code +} or listed with commas; empty for null. */
    public List<Move> parts(String name) {
        if (name == null) {
            return List.of();
        }
        Optional<Move> whole = find(name);
        return whole.isPresent()
                ? List.of(whole.get())
                : Arrays.stream(name.split("[+,]"))
                        .flatMap(part -> find(part).stream())
                        .toList();
    }

    /** The move probably meant by {@code name}: exact, then singular or with a word too many, then the nearest spelling. */
    public Optional<Move> likeliest(String name) {
        Optional<Move> exact = find(name);
        if (exact.isPresent() || name.isBlank()) {
            return exact;
        }
        String k = key(name);
        String nearest = Nearest.of(k, byName.keySet());
        if (nearest != null) {
            return Optional.of(byName.get(nearest));
        }
        Set<String> words = Set.copyOf(List.of(k.split(" ")));
        return byName.entrySet().stream()
                .filter(e -> words.containsAll(List.of(e.getKey().split(" "))))
                .max(Comparator.comparingInt(e -> e.getKey().length()))
                .map(Map.Entry::getValue);
    }

    /** Moves whose name, alias, pattern, gear or muscle has the words of {@code query}, the nearest first; all for an empty query. */
    public List<Move> search(String query) {
        String q = key(query);
        if (q.isEmpty()) {
            return moves;
        }
        List<String> words = List.of(q.split(" "));
        List<Move> starts = new ArrayList<>();
        List<Move> holds = new ArrayList<>();
        List<Move> about = new ArrayList<>();
        for (Move move : moves) {
            String names = key(move.name()) + " "
                    + String.join(
                            " ", move.aliases().stream().map(MoveLibrary::key).toList());
            String all = names + " " + move.pattern() + " " + move.position() + " " + String.join(" ", move.gear())
                    + " "
                    + String.join(
                            " ", move.primary().stream().map(MuscleGroup::word).toList());
            if (key(move.name()).startsWith(q) || move.aliases().stream().anyMatch(a -> key(a).startsWith(q))) {
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
            likeliest(query).ifPresent(starts::add);
        }
        return starts;
    }

    /** The known name nearest to {@code name}, or null when none is near. */
    public String nearestName(String name) {
        String nearest = Nearest.of(key(name), byName.keySet());
        return nearest == null ? null : byName.get(nearest).name();
    }

    private static String key(String name) {
        String words =
                NOT_WORD.matcher(name.toLowerCase(Locale.ROOT)).replaceAll(" ").strip();
        return words.length() > 4 && words.endsWith("s") && !words.endsWith("ss")
                ? words.substring(0, words.length() - 1)
                : words;
    }
}
