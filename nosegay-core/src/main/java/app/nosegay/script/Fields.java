package app.nosegay.script;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.Audience;
import app.nosegay.plan.check.Cautions;
import app.nosegay.plan.check.GearItem;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Header;
import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The figures of a plan as fields in spoken text: {@code {minutes}}, {@code {moves}} and others. They are filled in every time, so that
 * what is said stays true when the plan changes.
 */
public final class Fields {
    /** More is not remembered. */
    private static final int MOST_STAND_INS = 2;

    private static final Pattern FIELD = Pattern.compile("\\{([a-z-]{2,20})\\}");

    private final Map<String, String> values = new LinkedHashMap<>();

    private Fields() {}

    /** The fields of a timeline. */
    public static Fields of(Timeline timeline, MoveLibrary library) {
        Fields f = new Fields();
        Header header = timeline.sheet().header();
        f.values.put("title", header.title().isEmpty() ? "this workout" : header.title());
        f.values.put("minutes", counted((int) Math.round(timeline.total().seconds() / 60), "minute", false));
        f.values.put("moves", counted(timeline.workMoves(true).size(), "move", true));
        f.values.put("rounds", counted(rounds(timeline), "round", true));
        GearList gear = GearList.of(timeline, library);
        f.values.put("gear", gear(gear, false));
        f.values.put("stand-ins", gear(gear, true));
        f.values.put("levels", levels(header));
        f.values.put("audience", audience(header));
        f.values.put("sides", sides(timeline));
        f.values.put("screening", Cautions.SCREENING);
        f.values.put(
                "start-in", counted((int) Math.round(firstMovement(timeline).seconds()), "second", false));
        f.values.put("first-move", firstMove(timeline));
        f.values.put("work", counted((int) commonest(timeline, SegmentKind.WORK), "second", false));
        f.values.put("rest", counted((int) commonest(timeline, SegmentKind.REST), "second", false));
        f.values.put("dose", dose(timeline));
        f.values.put("effort", header.effort());
        f.values.put("point", point(header));
        return f;
    }

    /** A number with its noun, in words or digits. */
    private static String counted(int n, String noun, boolean words) {
        return (words ? Wordings.number(n) : "" + n) + " " + noun + (n == 1 ? "" : "s");
    }

    /** The names of all fields. */
    public List<String> names() {
        return List.copyOf(values.keySet());
    }

    public String value(String name) {
        return values.getOrDefault(name, "");
    }

    /** {@code text} with its fields filled in; unknown ones are left as they are. */
    public String filled(String text) {
        if (text.indexOf('{') < 0) {
            return text;
        }
        Matcher m = FIELD.matcher(text);
        StringBuilder out = new StringBuilder();
        while (m.find()) {
            String value = values.get(m.group(1));
            m.appendReplacement(out, Matcher.quoteReplacement(value == null ? m.group() : value));
        }
        m.appendTail(out);
        return Wordings.capital(out.toString());
    }

    /** The fields in {@code text} that are not known. */
    public List<String> unknown(String text) {
        if (text.indexOf('{') < 0) {
            return List.of();
        }
        List<String> unknown = new ArrayList<>();
        Matcher m = FIELD.matcher(text);
        while (m.find()) {
            if (!values.containsKey(m.group(1))) {
                unknown.add(m.group(1));
            }
        }
        return unknown;
    }

    /** The rounds a viewer would count: those of the longest circuit. */
    public static int rounds(Timeline timeline) {
        return timeline.segments().stream()
                .filter(s -> s.round() != null && s.block().kind() == BlockKind.CIRCUIT)
                .mapToInt(Segment::round)
                .max()
                .orElse(1);
    }

    private static String gear(GearList list, boolean standIns) {
        List<GearItem> items = list.announced().isEmpty()
                ? list.used().stream().map(GearList.Use::item).toList()
                : list.announced();
        List<String> words = new ArrayList<>();
        for (GearItem item : items) {
            if (!standIns) {
                words.add(withArticle(item.shown()));
            } else if (!item.standIns().isEmpty() && words.size() < MOST_STAND_INS) {
                words.add("No " + item.spoken() + "? Take " + item.standIns().get(0) + ".");
            }
        }
        return standIns ? String.join(" ", words) : items.isEmpty() ? "no gear at all" : Wordings.list(words);
    }

    private static String withArticle(String name) {
        boolean bare = name.matches("^(?:\\d|a |an |two |some ).*") || name.matches("^[^,(]*?[^s]s(?:,| \\(|$).*");
        return bare ? name : (name.matches("^[aeiou].*") ? "an " : "a ") + name;
    }

    private static String levels(Header header) {
        List<String> words = new ArrayList<>();
        for (Level level : header.levels()) {
            boolean mirrored = header.mirrored();
            String place =
                    switch (level.place()) {
                        case LEFT -> mirrored ? " on your left" : " on the left of the picture";
                        case RIGHT -> mirrored ? " on your right" : " on the right of the picture";
                        case CENTRE -> " in the middle";
                    };
            words.add(level.name() + place + " shows "
                    + switch (level.grade()) {
                        case EASIER -> "the easier way";
                        case MAIN -> "the main way";
                        case HARDER -> "the harder way";
                    });
        }
        return Wordings.list(words);
    }

    private static String audience(Header header) {
        List<String> people = header.audience().stream()
                .map(a -> Audience.of(a).map(Fields::people).orElse(a))
                .toList();
        String everyone = people(Audience.GENERAL);
        List<String> some = people.stream().filter(p -> !p.equals(everyone)).toList();
        return some.isEmpty() || !people.contains(everyone)
                ? Wordings.list(people)
                : everyone + ", " + Wordings.list(some) + " included";
    }

    /** Whom an audience word means, as it is said. */
    private static String people(Audience audience) {
        return switch (audience) {
            case GENERAL -> "everyone";
            case BEGINNER -> "beginners";
            case OLDER_ADULT -> "older adults";
            case CHAIR_BASED -> "people who stay seated";
            case PREGNANCY_1 -> "the first months of pregnancy";
            case PREGNANCY_2 -> "the middle months of pregnancy";
            case PREGNANCY_3 -> "the last months of pregnancy";
            case AFTER_BIRTH -> "the time after birth";
            case RETURNING -> "the way back after a treatment";
            default -> "people with " + audience.word().replace('-', ' ');
        };
    }

    private static String sides(Timeline timeline) {
        Header header = timeline.sheet().header();
        boolean any = timeline.segments().stream().anyMatch(s -> s.side() == Side.LEFT || s.side() == Side.RIGHT);
        if (!any) {
            return "";
        }
        if (header.start() == Attribute.StartSide.FREE) {
            return "Start on whichever side you like";
        }
        return header.mirrored()
                ? "I mirror you: when I say left, it is your left as you face me"
                : "When I say left, I mean my own left, and it is yours too";
    }

    static Length firstMovement(Timeline timeline) {
        return timeline.segments().stream()
                .filter(s -> s.kind().isMoving())
                .findFirst()
                .map(s -> new Length(s.start().micros()))
                .orElse(timeline.total());
    }

    private static String firstMove(Timeline timeline) {
        return timeline.segments().stream()
                .filter(s -> s.kind().isMoving())
                .findFirst()
                .map(Segment::move)
                .orElse("");
    }

    private static long commonest(Timeline timeline, SegmentKind kind) {
        Map<Long, Integer> counts = new LinkedHashMap<>();
        timeline.intervals().stream()
                .filter(i -> i.kind() == kind)
                .forEach(i -> counts.merge(Math.round(i.length().seconds()), 1, Integer::sum));
        return counts.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(0L);
    }

    /** What to do beyond what is shown, move by move. */
    static String dose(Timeline timeline) {
        List<String> words = new ArrayList<>();
        timeline.sheet().blocks().forEach(b -> b.moves().forEach(m -> m.attributes()
                .over(b.attributes())
                .dose()
                .map(Amount::words)
                .ifPresent(d -> words.add(m.name() + ", " + d))));
        return String.join("; ", words);
    }

    /**
     * Where the end card is, for pointing at it. The policy names the side of the picture; a presenter who faces the camera has it on the
     * other hand.
     */
    private static String point(Header header) {
        String choice = header.policy().choice("end-card").orElse("");
        if (!choice.contains("left") && !choice.contains("right")) {
            return choice;
        }
        Side picture = choice.contains("left") ? Side.LEFT : Side.RIGHT;
        return header.mirrored()
                ? "over here on your " + picture.word()
                : "over here on my " + picture.other().word();
    }
}
