package app.nosegay.script;

import app.nosegay.library.CueKind;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Cue;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.CueCandidate.Window;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What is said before the first movement and after the last, written from the plan in fields. */
public final class Talk {
    /** Where the talk is too short for the whole screening line. */
    static final String SHORT_SCREENING = "Unsure? Ask your doctor first, and stop at sharp pain.";

    /** What the closing says where nothing else is written. */
    public static final String THAT_WAS = "That was {title}: {moves}, {minutes}. Thank you.";

    public static final String HOW_OFTEN = "Two or three times a week, with a day between, is plenty.";
    public static final String ASK = "Tell me in the comments which move was the hardest.";
    private static final String SEE_YOU = "See you next time.";
    private static final String POINTING = "The next one is {point}.";

    /** A word of an own line this long that a suggested line has too says that it is about the same. */
    private static final int LONG_WORD = 6;

    /** Words that say what a field says. */
    private static final Map<String, List<String>> SAID = Map.of(
            "moves", List.of(" moves", " exercises"),
            "rounds", List.of(" rounds"),
            "minutes", List.of(" minutes"),
            "gear", List.of("you need", "grab ", "equipment", "no gear"),
            "sides", List.of("mirror", "your left", "your right"),
            "point", List.of("next one", "next video", "next workout"),
            "title", List.of("that was"));

    private Talk() {}

    /** One line of an opening or closing. */
    public record Line(CueKind kind, String text) {
        /** The line as it is written in a run sheet. */
        public String written() {
            return "  " + kind.word() + ": " + text;
        }
    }

    /** The opening the plan suggests, in order of saying; fields where the plan has figures. */
    public static List<Line> opening(Timeline timeline, Fields fields) {
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(CueKind.NAME, "Welcome to {title}."));
        lines.add(new Line(CueKind.CAUTION, "{screening}"));
        boolean rounds = Fields.rounds(timeline) > 1;
        lines.add(new Line(CueKind.NEXT, "{moves}" + (rounds ? ", {rounds}" : "") + ", {minutes}."));
        if (!fields.value("audience").isEmpty()) {
            lines.add(new Line(CueKind.WHY, "This one is for {audience}."));
        }
        boolean none = fields.value("gear").equals("no gear at all");
        lines.add(new Line(CueKind.GEAR, none ? "You need no gear at all." : "You need {gear}."));
        if (!fields.value("levels").isEmpty()) {
            lines.add(new Line(CueKind.INSTEAD, "{levels}."));
        }
        if (!fields.value("sides").isEmpty()) {
            lines.add(new Line(CueKind.SETUP, "{sides}."));
        }
        if (!none && !fields.value("stand-ins").isEmpty()) {
            lines.add(new Line(CueKind.EASIER, "{stand-ins}"));
        }
        return lines;
    }

    /** The closing the plan suggests. */
    public static List<Line> closing(Fields fields) {
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(CueKind.CHEER, THAT_WAS));
        if (!fields.value("dose").isEmpty()) {
            lines.add(new Line(CueKind.PERMIT, "On your own: {dose}."));
        }
        lines.add(new Line(CueKind.WHY, HOW_OFTEN));
        lines.add(new Line(CueKind.ASK, ASK));
        lines.add(new Line(CueKind.PLUG, farewell(!fields.value("point").isEmpty())));
        return lines;
    }

    /** The last words: the next video is spoken of where the picture has a place for it, and pointed at. */
    public static String farewell(boolean endCard) {
        return endCard ? POINTING : SEE_YOU;
    }

    /** Whether {@code s} is the talk before the first movement. */
    public static boolean isOpening(Timeline timeline, Segment s) {
        return s
                == timeline.segments().stream()
                        .takeWhile(o -> !o.kind().isMoving())
                        .filter(o -> o.kind() == SegmentKind.TALK)
                        .findFirst()
                        .orElse(null);
    }

    /** Whether {@code s} is the talk behind the last movement. */
    public static boolean isClosing(Timeline timeline, Segment s) {
        List<Segment> all = timeline.segments();
        int last = all.size() - 1;
        while (last >= 0 && !all.get(last).kind().isMoving()) {
            last--;
        }
        return last >= 0 && all.get(last).start().isBefore(s.start());
    }

    /** The wishes of a talk: the sheet's own lines in their order, completed by what the plan suggests. */
    static List<CueCandidate> wishes(Timeline timeline, Segment s, Fields fields) {
        List<Line> lines = new ArrayList<>();
        List<Cue> own = s.block().cues();
        List<Line> suggested = isOpening(timeline, s)
                ? opening(timeline, fields)
                : isClosing(timeline, s) ? closing(fields) : List.of();
        if (isOpening(timeline, s)) {
            // Welcome and screening come before everything that can be left out; an own line takes the place of the
            // suggested one.
            for (Line line : suggested.subList(0, 2)) {
                own.stream()
                        .filter(c -> c.kind() == line.kind())
                        .findFirst()
                        .ifPresentOrElse(c -> lines.add(new Line(c.kind(), c.text())), () -> lines.add(line));
            }
        }
        own.stream()
                .filter(c -> lines.stream().noneMatch(l -> l.text().equals(c.text())))
                .forEach(c -> lines.add(new Line(c.kind(), c.text())));
        String said = own.stream().map(Cue::text).collect(Collectors.joining(" "));
        suggested.stream()
                .filter(l -> lines.stream().noneMatch(o -> o.kind() == l.kind()) && !says(said, l, fields))
                .forEach(lines::add);
        String alone = s.block()
                .attributes()
                .length(Attribute.ALONE)
                .filter(l -> !said.matches("(?is).*\\b(?:pause|on your own|by yourself)\\b.*"))
                .map(Phrases::alone)
                .orElse("");
        if (!alone.isEmpty()) {
            lines.add(new Line(CueKind.PERMIT, alone));
        }
        List<CueCandidate> wishes = new ArrayList<>();
        for (Line line : lines) {
            boolean written = own.stream().anyMatch(c -> c.text().equals(line.text()));
            wishes.add(new CueCandidate(
                    s,
                    line.kind(),
                    line.text().equals("{screening}")
                            ? List.of(fields.filled(line.text()), SHORT_SCREENING)
                            : List.of(fields.filled(line.text())),
                    List.of(new Window(s, 0, 1)),
                    written,
                    written
                            || line.kind() == CueKind.NAME
                            || line.kind() == CueKind.CAUTION
                            || line.text().equals(alone)));
        }
        return wishes;
    }

    /** Whether own words say already what a suggested line would: its figure, or the words in it that matter. */
    private static boolean says(String own, Line line, Fields fields) {
        String words = own.toLowerCase(Locale.ROOT);
        Matcher field = Pattern.compile("\\{([a-z-]+)\\}").matcher(line.text());
        while (field.find()) {
            String name = field.group(1);
            String value = fields.value(name).toLowerCase(Locale.ROOT);
            boolean named = words.contains("{" + name + "}")
                    || SAID.getOrDefault(name, List.of()).stream().anyMatch(words::contains)
                    || Stream.of(value.split("[^\\p{L}\\p{N}]+"))
                            .anyMatch(w -> w.length() >= LONG_WORD && words.contains(w));
            if (named) {
                return true;
            }
        }
        return false;
    }

    /** The first talk block of a sheet that stands before any movement, or null. */
    public static Block openingBlock(Timeline timeline) {
        for (Block block : timeline.sheet().blocks()) {
            if (block.kind() == BlockKind.TALK) {
                return block;
            }
            if (block.kind() != BlockKind.REST) {
                return null;
            }
        }
        return null;
    }

    /** The last talk block behind all movement, or null. */
    public static Block closingBlock(Timeline timeline) {
        List<Block> blocks = timeline.sheet().blocks();
        Block last = blocks.isEmpty() ? null : blocks.get(blocks.size() - 1);
        return last != null && last.kind() == BlockKind.TALK && blocks.size() > 1 ? last : null;
    }
}
