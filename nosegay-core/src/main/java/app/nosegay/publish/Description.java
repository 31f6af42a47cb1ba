package app.nosegay.publish;

import app.nosegay.captions.TimedText;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.Cautions;
import app.nosegay.plan.check.GearItem;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.sheet.Header;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.SegmentKind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** The text under the video: what it is, what one needs, who shows what, cautions, chapters, credits. */
public final class Description {
    /** The shipped template. Names in braces are replaced; a paragraph whose names are all empty is left out. */
    public static final String TEMPLATE = """
            {title}

            {promise}

            What we do
            {structure}

            What you need
            {gear}

            Levels
            {levels}

            Please read first
            {cautions}

            Chapters
            {chapters}

            Sources
            {sources}

            Music
            {music}
            """;

    /** The names a template may use. */
    public static final List<String> NAMES =
            List.of("title", "promise", "structure", "gear", "levels", "cautions", "chapters", "sources", "music");

    private static final Pattern NAME = Pattern.compile("\\{([\\p{L}-]{1,40})\\}");

    private Description() {}

    /** Names in braces that a template uses and nobody knows. */
    public static List<String> unknownNames(String template) {
        return NAME.matcher(template)
                .results()
                .map(m -> m.group(1))
                .filter(n -> !NAMES.contains(n))
                .distinct()
                .toList();
    }

    /**
     * What a description tells besides the plan.
     *
     * @param gear what is used, with weights and stand-ins
     * @param sources where claims come from, one per line; may be empty
     * @param music the licence note of the music; empty without music
     */
    public record Facts(GearList gear, List<TimedText.Cue> chapters, List<String> sources, String music) {}

    /**
     * Fills {@code template}.
     *
     * @param minutes the length of the finished programme, rounded
     */
    public static String of(String template, Timeline timeline, long minutes, Facts facts) {
        Header header = timeline.sheet().header();
        Map<String, String> values = new LinkedHashMap<>();
        values.put("title", header.title());
        values.put("promise", promise(timeline, minutes));
        values.put("structure", structure(timeline));
        values.put("gear", gear(facts.gear()));
        values.put("levels", levels(header.levels()));
        values.put("cautions", Cautions.SCREENING + "\n" + Cautions.DEFERENCE);
        values.put("chapters", TimedText.descriptionLines(facts.chapters()).strip());
        values.put("sources", String.join("\n", facts.sources()));
        values.put("music", facts.music());
        StringBuilder out = new StringBuilder();
        for (String paragraph : template.strip().split("\\n\\s*\\n")) {
            String filled = paragraph;
            boolean named = false;
            boolean full = false;
            for (Map.Entry<String, String> v : values.entrySet()) {
                String name = "{" + v.getKey() + "}";
                named |= filled.contains(name);
                full |= filled.contains(name) && !v.getValue().isBlank();
                filled = filled.replace(name, v.getValue());
            }
            if (!named || full) {
                out.append(out.isEmpty() ? "" : "\n\n").append(filled.strip());
            }
        }
        return out.append('\n').toString();
    }

    private static String promise(Timeline timeline, long minutes) {
        int moves = timeline.workMoves(false).size();
        String how = timeline.sheet().header().audience().isEmpty()
                ? ""
                : " For: " + String.join(", ", timeline.sheet().header().audience()) + ".";
        return minutes
                + (minutes == 1 ? " minute, " : " minutes, ")
                + moves
                + (moves == 1 ? " move." : " moves.")
                + how;
    }

    private static String structure(Timeline timeline) {
        StringBuilder lines = new StringBuilder();
        Block block = null;
        Set<String> moves = new LinkedHashSet<>();
        for (Segment s : timeline.segments()) {
            if (s.block() != block) {
                line(lines, block, moves, timeline);
                block = s.block();
                moves.clear();
            }
            if (s.kind().isMoving()) {
                moves.add(s.move());
            }
        }
        line(lines, block, moves, timeline);
        return lines.toString().strip();
    }

    private static void line(StringBuilder lines, Block block, Set<String> moves, Timeline timeline) {
        if (block == null || moves.isEmpty()) {
            return;
        }
        int rounds = timeline.segments().stream()
                .filter(s -> s.block() == block && s.kind() == SegmentKind.WORK)
                .mapToInt(s -> Math.max(s.round() == null ? 1 : s.round(), s.set() == null ? 1 : s.set()))
                .max()
                .orElse(1);
        String name = block.name().substring(0, 1).toUpperCase(Locale.ROOT)
                + block.name().substring(1);
        lines.append("- ")
                .append(name)
                .append(rounds > 1 ? " (" + rounds + " rounds)" : "")
                .append(": ")
                .append(String.join(", ", moves))
                .append('\n');
    }

    private static String gear(GearList gear) {
        List<String> lines = new ArrayList<>();
        Set<String> seen = new LinkedHashSet<>();
        List<GearItem> items = gear.announced().isEmpty()
                ? gear.used().stream().map(GearList.Use::item).toList()
                : gear.announced();
        for (GearItem item : items) {
            if (seen.add(item.shown())) {
                String instead = item.standIns().isEmpty() ? "" : ", or instead: " + String.join(", ", item.standIns());
                lines.add("- " + item.shown() + instead);
            }
        }
        return lines.isEmpty() ? "- nothing but some room" : String.join("\n", lines);
    }

    private static String levels(List<Level> levels) {
        if (levels.size() < 2) {
            return "";
        }
        StringBuilder lines = new StringBuilder();
        for (Level l : levels) {
            String grade =
                    switch (l.grade()) {
                        case EASIER -> "easier";
                        case MAIN -> "the main version";
                        case HARDER -> "harder";
                    };
            String place =
                    switch (l.place()) {
                        case LEFT -> "on the left of the picture";
                        case CENTRE -> "in the middle";
                        case RIGHT -> "on the right of the picture";
                    };
            lines.append("- ")
                    .append(l.name())
                    .append(": ")
                    .append(grade)
                    .append(", ")
                    .append(place)
                    .append('\n');
        }
        return lines.toString().strip();
    }
}
