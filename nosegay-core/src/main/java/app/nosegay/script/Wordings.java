package app.nosegay.script;

import app.nosegay.library.BodyWords;
import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.sheet.Header;
import app.nosegay.plan.sheet.RunSheet.Cue;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/** The words for a cue: the sheet's own first, then the library's. */
public final class Wordings {
    private static final List<String> SMALL = List.of(
            "zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");
    private static final List<String> ORDINALS = List.of(
            "zeroth", "first", "second", "third", "fourth", "fifth", "sixth", "seventh", "eighth", "ninth", "tenth");

    /** Says something of what is held: not said with empty hands. */
    private static final Pattern OF_GEAR = Pattern.compile(
            "(?i)\\b(?:the|your|no|less|lighter|small) (?:weights?|kettlebells?|dumbbells?|bells?|bands?|load|pull)\\b");

    private final MoveLibrary library;
    private final Header header;

    public Wordings(MoveLibrary library, Header header) {
        this.library = library;
        this.header = header;
    }

    /** All wordings of {@code kind} for the move of {@code segment}, best first. */
    public List<String> of(Segment segment, CueKind kind) {
        if (segment.line() == null || segment.move() == null) {
            return List.of();
        }
        List<String> own = own(segment, kind).stream().map(Cue::text).toList();
        return own.isEmpty() ? known(segment, kind) : own;
    }

    /** The sheet's own cues of {@code kind} for the move of {@code segment}. */
    public List<Cue> own(Segment segment, CueKind kind) {
        return segment.line() == null
                ? List.of()
                : segment.line().cues().stream().filter(c -> c.kind() == kind).toList();
    }

    /** The library's wordings alone, without those that cue another way than was chosen. */
    public List<String> known(Segment segment, CueKind kind) {
        boolean ofMuscles = kind == CueKind.MUSCLE || kind == CueKind.FEEL;
        boolean weights = GearList.of(segment, library, header).stream().anyMatch(g -> g.isWeight() || g.isBand());
        return segment.wholeMove(library).map(m -> m.cues(kind)).orElse(List.of()).stream()
                .filter(t -> CueWays.in(t).stream().noneMatch(w -> w.isAgainst(header.policy())))
                .filter(t -> weights || !OF_GEAR.matcher(t).find())
                .filter(t -> !ofMuscles
                        || BodyWords.onlyOthers(t, segment.moves(library)).isEmpty())
                .toList();
    }

    public Optional<String> first(Segment segment, CueKind kind) {
        return of(segment, kind).stream().findFirst();
    }

    /** A small number in words, a larger one in digits. */
    public static String number(int n) {
        return n >= 0 && n < SMALL.size()
                ? SMALL.get(n)
                : n == 15 ? "fifteen" : n == 20 ? "twenty" : n == 30 ? "thirty" : "" + n;
    }

    /** The place in an order: {@code second}, {@code 14th}. */
    public static String ordinal(int n) {
        if (n >= 0 && n < ORDINALS.size()) {
            return ORDINALS.get(n);
        }
        String end = n % 100 / 10 == 1 ? "th" : n % 10 == 1 ? "st" : n % 10 == 2 ? "nd" : n % 10 == 3 ? "rd" : "th";
        return n + end;
    }

    /** A spoken countdown: {@code 3} gives "Three, two, one.". */
    public static String countdown(int from) {
        StringBuilder words = new StringBuilder();
        for (int n = from; n >= 1; n--) {
            words.append(words.isEmpty() ? "" : ", ").append(number(n));
        }
        return capital(words + ".");
    }

    public static String capital(String text) {
        return text.isEmpty() ? text : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    /** Words in a row: {@code a, b and c}. */
    public static String list(List<String> words) {
        return words.size() <= 1
                ? String.join("", words)
                : String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.get(words.size() - 1);
    }
}
