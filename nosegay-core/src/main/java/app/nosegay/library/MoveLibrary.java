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
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** All known moves, found by name or alias, whatever the case and plural. */
public final class MoveLibrary {
    private static final List<String> SHIPPED = List.of("moves.json", "more-moves.json");
    /** Several moves, not one of many words. */
    private static final Pattern JOINED = Pattern.compile("[+,]");

    private static final Pattern NOT_WORD = Pattern.compile("[^\\p{L}\\p{N}]+");
    /** Shorter words differ by a letter without being slips: row, raw. */
    private static final int SHORTEST_SLIP = 4;
    /** From here on two letters may be wrong, or swapped. */
    private static final int LONG_WORD = 5;

    private static final LevenshteinDistance SLIPS = new LevenshteinDistance(2);
    private static final List<Set<NameWords.Role>> ROLES = subsets();
    private static MoveLibrary shipped;

    private final List<Move> moves;
    private final Map<String, Move> byName = new TreeMap<>();
    private final Map<String, Move> byWords = new HashMap<>();
    private final Map<String, Move> byBag = new HashMap<>();
    /** Names are looked up many times while a plan is computed; what they mean does not change. */
    private final TextMemo<Optional<Move>> found = new TextMemo<>(this::named);

    private static final char PLACED = '|';
    private final TextMemo<Move> placed = new TextMemo<>(this::placed);
    private final TextMemo<String> slips = new TextMemo<>(this::mended);
    private final List<Bag> bags;
    private final Set<String> knownWords;
    private final Map<String, Move> joinedOnes = new ConcurrentHashMap<>();

    public MoveLibrary(Collection<Move> moves) {
        this.moves = List.copyOf(moves);
        for (Move move : moves) {
            byName.put(key(move.name()), move);
        }
        for (Move move : moves) {
            move.aliases().forEach(alias -> byName.putIfAbsent(key(alias), move));
        }
        byName.forEach((name, move) -> {
            List<String> words = NameWords.of(name);
            byWords.putIfAbsent(String.join(" ", words), move);
            byBag.putIfAbsent(bag(words), move);
        });
        // A move's own name is it, whatever alias of another has the same words.
        for (Move move : moves) {
            byBag.put(bag(NameWords.of(move.name())), move);
        }
        bags = byBag.entrySet().stream()
                .map(e -> new Bag(Set.of(e.getKey().split(" ")), e.getKey(), e.getValue()))
                .toList();
        knownWords = bags.stream().flatMap(b -> b.words().stream()).collect(Collectors.toUnmodifiableSet());
    }

    /** What may be left out of a name, the fewest kinds of words first. */
    private static List<Set<NameWords.Role>> subsets() {
        NameWords.Role[] all = NameWords.Role.values();
        List<Set<NameWords.Role>> subsets = new ArrayList<>();
        for (int bits = 1; bits < 1 << all.length; bits++) {
            EnumSet<NameWords.Role> set = EnumSet.noneOf(NameWords.Role.class);
            for (NameWords.Role role : all) {
                if ((bits & 1 << role.ordinal()) != 0) {
                    set.add(role);
                }
            }
            subsets.add(set);
        }
        subsets.sort(Comparator.comparingInt(Set::size));
        return List.copyOf(subsets);
    }

    /** The library that comes with the application. */
    public static synchronized MoveLibrary shipped() {
        if (shipped == null) {
            try {
                shipped = new MoveLibrary(MoveJson.read(shippedFiles()));
            } catch (IOException e) {
                throw new UncheckedIOException("the shipped move library " + SHIPPED + " cannot be read", e);
            }
        }
        return shipped;
    }

    private static List<String> shippedFiles() throws IOException {
        List<String> files = new ArrayList<>();
        for (String file : SHIPPED) {
            try (InputStream in = MoveLibrary.class.getResourceAsStream(file)) {
                files.add(new String(in.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return files;
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

    /** The move whose name or alias this is, in whatever spelling and order of words; not one said with gear or position besides. */
    public Optional<Move> called(String name) {
        List<String> words = JOINED.matcher(name).find() ? List.of("") : NameWords.of(name);
        return Optional.ofNullable(byName.getOrDefault(key(name), byBag.get(bag(words))));
    }

    private Optional<Move> named(String name) {
        Move exact = byName.get(key(name));
        if (exact != null || JOINED.matcher(name).find()) {
            return Optional.ofNullable(exact);
        }
        List<String> words = NameWords.of(name);
        Move sameWords = byWords.getOrDefault(String.join(" ", words), byBag.get(bag(words)));
        return sameWords != null ? Optional.of(sameWords) : qualified(words);
    }

    /** A known name with words beside it that only say how: in a position, with gear, with a side. The fewest are left out. */
    private Optional<Move> qualified(List<String> words) {
        Optional<Move> best = Optional.empty();
        int mostWords = 0;
        for (Set<NameWords.Role> roles : ROLES) {
            List<String> rest = words.stream()
                    .filter(w -> roles.stream().noneMatch(r -> NameWords.is(w, r)))
                    .toList();
            Move move = rest.isEmpty() ? null : byBag.get(bag(rest));
            if (move != null && rest.size() > mostWords) {
                mostWords = rest.size();
                best = Optional.of(asSaid(
                        move, words.stream().filter(w -> !rest.contains(w)).toList()));
            }
        }
        return best;
    }

    /** {@code move} with the gear and the position its name was said with. */
    private static Move asSaid(Move move, List<String> said) {
        Move as = move;
        for (String word : said) {
            if (NameWords.is(word, NameWords.Role.GEAR)) {
                as = as.with(NameWords.gear(word));
            }
            if (NameWords.is(word, NameWords.Role.POSITION)) {
                Move now = as;
                as = Position.of(NameWords.position(word))
                        .map(p -> p.apply(now))
                        .orElse(as);
            }
        }
        return as;
    }

    private static String bag(List<String> words) {
        return words.stream().distinct().sorted().collect(Collectors.joining(" "));
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

    /** The known moves in {@code name} as they are done in {@code position}; in their own for an empty one. */
    public List<Move> parts(String name, String position) {
        List<Move> usual = parts(name);
        if (position.isEmpty() || usual.isEmpty()) {
            return usual;
        }
        return usual.stream().map(m -> placed.of(position + PLACED + m.name())).toList();
    }

    /** The one move that {@code name} is in {@code position}: a known one, or known ones joined by {@code +}; empty for a list. */
    public Optional<Move> whole(String name, String position) {
        List<Move> parts = parts(name, position);
        if (parts.size() == 1 && (!name.contains("+") || find(name).isPresent())) {
            return Optional.of(parts.get(0));
        }
        boolean joined = parts.size() > 1 && name.contains("+") && parts.size() == name.split("\\+").length;
        return joined
                ? Optional.of(joinedOnes.computeIfAbsent(name + PLACED + position, k -> Compound.of(parts)))
                : Optional.empty();
    }

    /** A move that has this position's own entry is that one; else what holds of every move in it. */
    private Move placed(String key) {
        String position = key.substring(0, key.indexOf(PLACED));
        Move usual = find(key.substring(key.indexOf(PLACED) + 1)).orElseThrow();
        return find(position + " " + usual.name())
                .filter(m -> !m.position().equals(usual.position()))
                .or(() -> Position.of(position).map(p -> p.apply(usual)))
                .orElse(usual);
    }

    /**
     * The move probably meant by {@code name}: a known one, else one whose words are all in it or that is a slip of the pen away. What is
     * not found by {@link #find} is to be asked about.
     */
    public Optional<Move> likeliest(String name) {
        Optional<Move> exact = find(name);
        if (exact.isPresent() || name.isBlank()) {
            return exact;
        }
        Optional<Move> slip = slip(NameWords.of(name));
        if (slip.isPresent()) {
            return slip;
        }
        List<String> words = NameWords.of(name);
        Set<String> said = Set.copyOf(words);
        String last = words.isEmpty() ? "" : words.get(words.size() - 1);
        Bag best = null;
        for (Bag bag : bags) {
            // All words of the known name are said, and the last word said, which names the thing, is among them.
            if (bag.words().contains(last) && said.containsAll(bag.words()) && (best == null || bag.isBefore(best))) {
                best = bag;
            }
        }
        return Optional.ofNullable(best).map(Bag::move);
    }

    /** The words of a name, in no order. */
    private record Bag(Set<String> words, String key, Move move) {
        boolean isBefore(Bag other) {
            int byWords = Integer.compare(words.size(), other.words.size());
            int byLength = Integer.compare(key.length(), other.key.length());
            return byWords != 0 ? byWords > 0 : byLength != 0 ? byLength > 0 : key.compareTo(other.key) > 0;
        }
    }

    /** A name whose words are the same but for slips of the pen, word by word. */
    private Optional<Move> slip(List<String> words) {
        List<String> mended = new ArrayList<>();
        for (String word : words) {
            if (knownWords.contains(word) || word.length() < SHORTEST_SLIP) {
                mended.add(word);
                continue;
            }
            String near = slips.of(word);
            if (near.isEmpty()) {
                return Optional.empty();
            }
            mended.add(near);
        }
        Move move = byBag.get(bag(mended));
        return move != null ? Optional.of(move) : mended.equals(words) ? Optional.empty() : qualified(mended);
    }

    /** The known word a slip of the pen away; empty for none. */
    private String mended(String word) {
        return knownWords.stream()
                .filter(k -> Math.abs(k.length() - word.length()) <= 2 && k.length() >= SHORTEST_SLIP)
                .map(k -> Map.entry(k, SLIPS.apply(word, k)))
                .filter(e -> e.getValue() >= 0 && e.getValue() <= (word.length() < LONG_WORD ? 1 : 2))
                .min(Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse("");
    }

    /** Moves whose name, alias, pattern, gear or muscle has the words of {@code query}, the nearest first; all for an empty query. */
    public List<Move> search(String query) {
        return new MoveSearch(this).search(query);
    }

    /** The known name nearest to {@code name}, or null when none is near. */
    public String nearestName(String name) {
        return likeliest(name).map(Move::name).orElse(null);
    }

    /** A name as it is compared: small, without marks, in the singular. */
    static String key(String name) {
        String words =
                NOT_WORD.matcher(name.toLowerCase(Locale.ROOT)).replaceAll(" ").strip();
        return words.length() > 4 && words.endsWith("s") && !words.endsWith("ss")
                ? words.substring(0, words.length() - 1)
                : words;
    }
}
