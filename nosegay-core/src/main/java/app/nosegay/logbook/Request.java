package app.nosegay.logbook;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import java.util.ArrayList;
import java.util.Comparator;
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
    private static final Pattern MINUTES = Pattern.compile("(\\d{1,3})[ -]?min");
    private static final int USUAL_MINUTES = 15;
    private static final int WORK = 40;
    private static final int REST = 20;
    private static final int MOVES = 4;
    /** Welcome, warm-up, cool-down and goodbye of an idea, in seconds. */
    private static final int AROUND = 200;

    /** Everyday words for groups. */
    private static final Map<String, List<MuscleGroup>> EVERYDAY = Map.of(
            "legs", List.of(MuscleGroup.QUADRICEPS, MuscleGroup.HAMSTRINGS, MuscleGroup.GLUTES),
            "arms", List.of(MuscleGroup.BICEPS, MuscleGroup.TRICEPS),
            "shoulders", List.of(MuscleGroup.FRONT_SHOULDER, MuscleGroup.REAR_SHOULDER),
            "back", List.of(MuscleGroup.UPPER_BACK, MuscleGroup.LATS, MuscleGroup.LOWER_BACK),
            "core", List.of(MuscleGroup.ABDOMINALS, MuscleGroup.OBLIQUES),
            "abs", List.of(MuscleGroup.ABDOMINALS, MuscleGroup.OBLIQUES),
            "bottom", List.of(MuscleGroup.GLUTES),
            "thighs", List.of(MuscleGroup.QUADRICEPS, MuscleGroup.HAMSTRINGS));

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
        Set<String> gear = new LinkedHashSet<>();
        for (Move move : library.moves()) {
            for (String item : move.gear()) {
                if (words.contains(" " + item.toLowerCase(Locale.ROOT) + " ")
                        || words.contains(" " + item.toLowerCase(Locale.ROOT) + "s ")) {
                    gear.add(item);
                }
            }
        }
        Matcher minutes = MINUTES.matcher(words);
        return new Request(text, muscles, gear, minutes.find() ? Integer.parseInt(minutes.group(1)) : 0);
    }

    /** Whether it asks for something that can be planned; else it is only a remark. */
    public boolean asks() {
        return !muscles.isEmpty() || !gear.isEmpty() || minutes > 0;
    }

    /** Its tags in one line. */
    public String tags() {
        List<String> tags = new ArrayList<>();
        muscles.forEach(m -> tags.add(m.word().replace('-', ' ')));
        tags.addAll(gear);
        if (minutes > 0) {
            tags.add(minutes + " min");
        }
        return tags.isEmpty() ? "no tags" : String.join(" · ", tags);
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
