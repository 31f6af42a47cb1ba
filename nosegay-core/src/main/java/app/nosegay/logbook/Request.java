package app.nosegay.logbook;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a viewer's request asks for, as far as it can be read from its words.
 *
 * @param muscles groups it names, by their own or everyday names
 * @param gear gear it names
 * @param minutes the length it names, or 0
 */
public record Request(String text, Set<MuscleGroup> muscles, Set<String> gear, int minutes) {
    private static final Pattern MINUTES = Pattern.compile("(\\d{1,3}) ?min");
    /** Lengths people ask for in words. */
    private static final Map<String, Integer> LENGTHS = Map.ofEntries(
            Map.entry(" half an hour ", 30),
            Map.entry(" an hour ", 60),
            Map.entry(" one hour ", 60),
            Map.entry(" three quarters of an hour ", 45),
            Map.entry(" five min", 5),
            Map.entry(" ten min", 10),
            Map.entry(" fifteen min", 15),
            Map.entry(" twenty min", 20),
            Map.entry(" twenty five min", 25),
            Map.entry(" thirty min", 30),
            Map.entry(" forty min", 40),
            Map.entry(" forty five min", 45),
            Map.entry(" sixty min", 60));

    private static final int USUAL_MINUTES = 15;
    private static final int WORK = 40;
    private static final int REST = 20;
    private static final int MOVES = 4;
    /** Welcome, warm-up, cool-down and goodbye of an idea, in seconds. */
    private static final int AROUND = 200;

    /** Everyday words for groups. */
    private static final Map<String, List<MuscleGroup>> EVERYDAY = Map.ofEntries(
            Map.entry("legs", List.of(MuscleGroup.QUADRICEPS, MuscleGroup.HAMSTRINGS, MuscleGroup.GLUTES)),
            Map.entry("arms", List.of(MuscleGroup.BICEPS, MuscleGroup.TRICEPS)),
            Map.entry("arm", List.of(MuscleGroup.BICEPS, MuscleGroup.TRICEPS)),
            Map.entry("bicep", List.of(MuscleGroup.BICEPS)),
            Map.entry("tricep", List.of(MuscleGroup.TRICEPS)),
            Map.entry("shoulders", List.of(MuscleGroup.FRONT_SHOULDER, MuscleGroup.REAR_SHOULDER)),
            Map.entry("shoulder", List.of(MuscleGroup.FRONT_SHOULDER, MuscleGroup.REAR_SHOULDER)),
            Map.entry("back", List.of(MuscleGroup.UPPER_BACK, MuscleGroup.LATS, MuscleGroup.LOWER_BACK)),
            Map.entry("core", List.of(MuscleGroup.ABDOMINALS, MuscleGroup.OBLIQUES)),
            Map.entry("abs", List.of(MuscleGroup.ABDOMINALS, MuscleGroup.OBLIQUES)),
            Map.entry("ab", List.of(MuscleGroup.ABDOMINALS, MuscleGroup.OBLIQUES)),
            Map.entry("tummy", List.of(MuscleGroup.ABDOMINALS)),
            Map.entry("waist", List.of(MuscleGroup.OBLIQUES)),
            Map.entry("bottom", List.of(MuscleGroup.GLUTES)),
            Map.entry("bum", List.of(MuscleGroup.GLUTES)),
            Map.entry("glute", List.of(MuscleGroup.GLUTES)),
            Map.entry("quads", List.of(MuscleGroup.QUADRICEPS)),
            Map.entry("quad", List.of(MuscleGroup.QUADRICEPS)),
            Map.entry("hamstring", List.of(MuscleGroup.HAMSTRINGS)),
            Map.entry("calf", List.of(MuscleGroup.CALVES)),
            Map.entry("thighs", List.of(MuscleGroup.QUADRICEPS, MuscleGroup.HAMSTRINGS)));

    public static Request of(String text, MoveLibrary library) {
        String words = " " + text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ") + " ";
        Set<MuscleGroup> muscles = new LinkedHashSet<>();
        for (MuscleGroup group : MuscleGroup.values()) {
            if (words.contains(" " + group.word().replace('-', ' ') + " ")) {
                muscles.add(group);
            }
        }
        EVERYDAY.forEach((word, groups) -> {
            if (words.contains(" " + word + " ")) {
                muscles.addAll(groups);
            }
        });
        return new Request(text, muscles, gear(words, library), minutes(words));
    }

    /** Gear by its whole name; where none is named like that, by its last word: "a band" may be any of them, the commonest is meant. */
    private static Set<String> gear(String words, MoveLibrary library) {
        Map<String, Integer> uses = new LinkedHashMap<>();
        library.moves().forEach(m -> m.gear().forEach(g -> uses.merge(g, 1, Integer::sum)));
        Set<String> named = new LinkedHashSet<>();
        Map<String, String> commonest = new LinkedHashMap<>();
        for (String item : uses.keySet()) {
            String name = item.toLowerCase(Locale.ROOT);
            if (isNamed(words, name)) {
                named.add(item);
            }
            String last = name.substring(name.lastIndexOf(' ') + 1);
            commonest.merge(last, item, (a, b) -> uses.get(b) > uses.get(a) ? b : a);
        }
        commonest.forEach((last, item) -> {
            boolean whole =
                    named.stream().anyMatch(n -> n.toLowerCase(Locale.ROOT).endsWith(last));
            if (!whole && isNamed(words, last)) {
                named.add(item);
            }
        });
        return named;
    }

    private static boolean isNamed(String words, String name) {
        return words.contains(" " + name + " ") || words.contains(" " + name + "s ");
    }

    private static int minutes(String words) {
        Matcher minutes = MINUTES.matcher(words);
        if (minutes.find()) {
            return Integer.parseInt(minutes.group(1));
        }
        return LENGTHS.entrySet().stream()
                .filter(e -> words.contains(e.getKey()))
                .max(Comparator.comparingInt(e -> e.getKey().length()))
                .map(Map.Entry::getValue)
                .orElse(0);
    }

    /** Whether it asks for something that can be planned; else it is only a remark. */
    public boolean asks() {
        return !muscles.isEmpty() || !gear.isEmpty() || minutes > 0;
    }

    /** Its tags in one line. */
    public String tags() {
        return wishes().isEmpty() ? "no tags" : String.join(" · ", wishes());
    }

    private List<String> wishes() {
        List<String> wishes = new ArrayList<>();
        muscles.forEach(m -> wishes.add(m.word().replace('-', ' ')));
        wishes.addAll(gear);
        if (minutes > 0) {
            wishes.add(minutes + " min");
        }
        return wishes;
    }

    /** What more than one of {@code requests} ask for and how many do, the most wanted first. */
    public static Map<String, Integer> counted(List<Request> requests) {
        Map<String, Integer> all = new LinkedHashMap<>();
        requests.forEach(r -> r.wishes().forEach(w -> all.merge(w, 1, Integer::sum)));
        Map<String, Integer> wanted = new LinkedHashMap<>();
        all.entrySet().stream()
                .filter(w -> w.getValue() > 1)
                .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
                .forEach(w -> wanted.put(w.getKey(), w.getValue()));
        return wanted;
    }

    /** A run sheet to begin with: moves for what is asked, with the gear that is named or none, of about the length asked. */
    public String sheet(MoveLibrary library) {
        List<Move> fitting = new ArrayList<>(library.moves().stream()
                .filter(m -> !m.pattern().equals("stretch") && !m.pattern().equals("mobility"))
                .filter(m -> m.gear().isEmpty() || (!gear.isEmpty() && gear.containsAll(m.gear())))
                .toList());
        fitting.sort(Comparator.comparingDouble((Move m) -> -score(m)));
        List<Move> moves = new ArrayList<>();
        for (Move m : fitting) {
            // Two of one pattern are enough: a workout is more than one move four ways.
            long alike =
                    moves.stream().filter(o -> o.pattern().equals(m.pattern())).count();
            if (moves.size() < MOVES && alike < 2) {
                moves.add(m);
            }
        }
        int length = minutes > 0 ? minutes : USUAL_MINUTES;
        int round = Math.max(1, moves.size()) * (WORK + REST);
        int rounds = Math.max(1, Math.round((length * 60 - AROUND) / (float) round));
        StringBuilder sheet = new StringBuilder();
        sheet.append("title: ").append(title()).append('\n');
        sheet.append("promise: about ").append(length).append(" min\n");
        if (!gear.isEmpty()) {
            sheet.append("gear: ").append(String.join(", ", gear)).append('\n');
        }
        sheet.append("# A viewer asked: ").append(text.replace('\n', ' ')).append('\n');
        sheet.append("\ntalk Welcome  0:30\n\nwarm-up  each 0:30\n  march in place\n  hip hinge drill\n");
        sheet.append("\ncircuit Main  rounds ").append(rounds).append("  work 0:40  rest 0:20\n");
        for (Move m : moves) {
            sheet.append("  ").append(m.name());
            if (!m.sided().isEmpty()) {
                sheet.append("  sides halves");
            }
            sheet.append('\n');
        }
        sheet.append("\ncool-down  each 0:30\n  calf stretch  sides separate\n\ntalk Goodbye  0:20\n");
        return sheet.toString();
    }

    private String title() {
        String words = text.strip().replaceAll("[^\\p{L}\\p{N} ]+", "");
        String first = words.length() > 48
                ? words.substring(0, words.lastIndexOf(' ', 48) > 0 ? words.lastIndexOf(' ', 48) : 48)
                : words;
        return first.isEmpty() ? "An idea" : first.substring(0, 1).toUpperCase(Locale.ROOT) + first.substring(1);
    }

    private double score(Move m) {
        double score = 0;
        for (MuscleGroup g : muscles) {
            score += m.primary().contains(g) ? 1 : m.secondary().contains(g) ? 0.5 : 0;
        }
        return score + (gear.isEmpty() || m.gear().isEmpty() ? 0 : 0.4);
    }
}
