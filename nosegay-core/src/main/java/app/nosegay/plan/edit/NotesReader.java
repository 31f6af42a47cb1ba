package app.nosegay.plan.edit;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.time.DurationText;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Turns notes as people write them ("- Squats 3x12", "2. Plank 45 sec", "Lunges 10 each side") into run-sheet lines. What already is
 * notation is left as it is.
 */
public final class NotesReader {
    private static final Pattern BULLET = Pattern.compile("^\\s*(?:[-*•–—▪◦☐✓]|\\d{1,2}[.)]|\\(?[a-z][.)])\\s+(.*)$");
    private static final Pattern SETS = Pattern.compile(
            "\\b(\\d{1,2}) ?(?:x|×|sets? (?:of|x)) ?(\\d{1,3}(?:-\\d{1,3})?)(?! ?(?:s|sec|min|:|kg|lb))");
    private static final Pattern SETS_TIME = Pattern.compile(
            "\\b(\\d{1,2}) ?(?:x|×|sets? (?:of|x)) ?(\\d{1,3} ?(?:s|secs?|seconds?|mins?|minutes?)|\\d{1,2}:\\d{2})\\b");
    private static final Pattern TIME =
            Pattern.compile("\\b(?:for )?(\\d{1,3}) ?(s|secs?|seconds?|mins?|minutes?)\\b|\\b(\\d{1,2}:\\d{2})\\b");
    private static final Pattern REPS =
            Pattern.compile("(?:^|[ ,:x×(])x?(\\d{1,3}(?:-\\d{1,3})?)(?: ?(?:reps?|times))?(?= |$|,|\\))");
    private static final Pattern EACH =
            Pattern.compile("\\b(?:each|per|every|both|e/|p/) ?(?:side|leg|arm|s\\b|sides|legs|arms)\\b|\\b(?:es|ps)$");
    private static final Pattern LOAD = Pattern.compile("(?:@ ?|at |with )?\\b(\\d{1,3}(?:\\.\\d)? ?(?:kg|lbs?))\\b");
    private static final String THING = "(kettlebell|dumbbells?|loop band|mini band|band|barbell|bottles?|plate)";
    private static final String WEIGHT = "(light|medium|heavy)";
    /** "with a light dumbbell", "with the band", "kettlebell medium". */
    private static final Pattern GEAR = Pattern.compile("\\b(?:with|using) (?:an? |the |your )?(?:" + WEIGHT + " )?"
            + THING + "(?: " + WEIGHT + ")?\\b|\\b" + THING + " " + WEIGHT + "\\b");

    private static final Pattern TEMPO = Pattern.compile("\\b(\\d(?:\\.\\d)?(?:-\\d(?:\\.\\d)?){2,3})\\b");
    private static final Pattern ALTERNATE = Pattern.compile("\\balternat(?:e|ing)(?: (?:sides|legs|arms))?\\b");
    private static final Pattern SEPARATE =
            Pattern.compile("\\b(?:a |one )?full set (?:each|per|a) (?:side|leg|arm)\\b");
    private static final Pattern REST_LINE = Pattern.compile("^(?:rest|break|pause)\\b\\D*(.*)$");
    private static final Pattern ROUNDS =
            Pattern.compile("\\b(\\d{1,2}) ?(?:rounds?|times through|laps?)\\b|\\bx ?(\\d{1,2}) rounds?\\b");
    private static final Pattern WORK_REST = Pattern.compile(
            "\\b(\\d{1,3}) ?(?:s|sec|seconds)?(?: on| work)?,? ?[/] ?(\\d{1,3}) ?(?:s|sec|seconds)?(?: off| rest)?\\b");
    private static final Pattern HEADING = Pattern.compile(
            "^(warm[- ]?up|cool[- ]?down|stretch(?:es|ing)?|finisher|circuit|superset|core|strength|main)\\b.*$");

    /** From two on: "one" is more often part of a name. */
    private static final List<String> NUMBERS =
            List.of("two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve");

    private final MoveLibrary library;

    public NotesReader(MoveLibrary library) {
        this.library = library;
    }

    /** Whether {@code text} looks like notes rather than notation. */
    public boolean isNotes(String text) {
        String[] lines = text.split("\r\n|\n|\r");
        int notes = 0;
        int filled = 0;
        for (String line : lines) {
            if (line.isBlank()) {
                continue;
            }
            filled++;
            String first = line.strip().split("[ :]", 2)[0].toLowerCase(Locale.ROOT);
            boolean head = !Character.isWhitespace(line.charAt(0))
                    && BlockKind.of(first).isPresent();
            boolean notation = head
                    || line.matches("^[a-z-]+: .*")
                    || line.matches("^\\s+.*  (?:work|reps|sides|gear|tempo|rest) .*");
            notes += !notation && (BULLET.matcher(line).matches() || quantified(line.strip())) ? 1 : 0;
        }
        return filled > 0 && notes * 2 > filled;
    }

    private static boolean quantified(String line) {
        String l = line.toLowerCase(Locale.ROOT);
        return SETS.matcher(l).find()
                || SETS_TIME.matcher(l).find()
                || TIME.matcher(l).find()
                || REPS.matcher(l).find();
    }

    /**
     * The notes as run-sheet lines: headings open blocks, other lines become moves.
     *
     * @param inBlock whether they are pasted below a block's head; else they get a block of their own
     */
    public String read(String notes, boolean inBlock) {
        List<String> out = new ArrayList<>();
        boolean open = inBlock;
        for (String raw : notes.split("\r\n|\n|\r")) {
            if (raw.isBlank()) {
                continue;
            }
            Matcher bullet = BULLET.matcher(raw);
            String line = (bullet.matches() ? bullet.group(1) : raw).strip();
            String lower = line.toLowerCase(Locale.ROOT);
            if (isHeading(lower, bullet.matches())) {
                out.add(heading(line));
                open = true;
                continue;
            }
            if (!open) {
                out.add(block(notes.toLowerCase(Locale.ROOT)));
                open = true;
            }
            Matcher rest = REST_LINE.matcher(lower);
            if (rest.matches()) {
                duration(lower).ifPresent(d -> out.add("  rest " + d));
            } else {
                out.add("  " + move(line));
            }
        }
        return String.join("\n", out);
    }

    private boolean isHeading(String lower, boolean bulleted) {
        String words = lower.replaceAll("[:\\d].*$", "").strip();
        return (lower.endsWith(":")
                        || HEADING.matcher(lower).matches()
                        || ROUNDS.matcher(lower).find())
                && !bulleted
                && library.find(words).isEmpty();
    }

    private String block(String all) {
        return SETS.matcher(all).find() || SETS_TIME.matcher(all).find()
                ? "straight-sets Main  rest 1:00"
                : "circuit Main  work 0:40  rest 0:20";
    }

    private String heading(String line) {
        String lower = line.toLowerCase(Locale.ROOT);
        String name =
                line.replaceAll("[:(\\d].*$", "").replaceAll("[-–—]\\s*$", "").strip();
        Matcher rounds = ROUNDS.matcher(lower);
        Matcher workRest = WORK_REST.matcher(lower);
        String n = rounds.find() ? "  rounds " + (rounds.group(1) != null ? rounds.group(1) : rounds.group(2)) : "";
        if (lower.startsWith("warm")) {
            return "warm-up  each 0:30";
        }
        if (lower.startsWith("cool") || lower.startsWith("stretch")) {
            return "cool-down  each 0:30";
        }
        if (lower.startsWith("superset")) {
            return ("superset " + name.substring(Math.min(name.length(), 8)).strip()).strip() + "  sets "
                    + (n.isEmpty() ? "2" : n.strip().substring(7)) + "  reps 10  rest 1:00";
        }
        String times = workRest.find()
                ? "  work " + clock(workRest.group(1)) + "  rest " + clock(workRest.group(2))
                : "  work 0:40  rest 0:20";
        String title = lower.startsWith("circuit") ? name.substring(7).strip() : name;
        return ("circuit " + title).strip() + n + times;
    }

    private static String clock(String seconds) {
        int s = Integer.parseInt(seconds);
        return s / 60 + ":" + String.format(Locale.ROOT, "%02d", s % 60);
    }

    private static Optional<String> duration(String text) {
        Matcher time = TIME.matcher(text);
        if (!time.find()) {
            return Optional.empty();
        }
        return DurationText.parse(time.group().replaceFirst("^for ", "").strip())
                .map(l -> l.clock());
    }

    /**
     * What a note says of one move.
     *
     * @param name the move's name as it was said, without figures
     * @param attributes what else it says, as attributes: {@code "  reps 12 each-side  sides separate"}; empty for nothing
     */
    public record Note(String name, String attributes) {}

    /** One note as a move line: its name as the library knows it, then what else it says. */
    String move(String note) {
        Note read = note(note);
        // A doubtful name stays as it was said: the plan asks about it.
        Optional<Move> known = library.called(read.name());
        String written = known.map(Move::name).orElse(read.name().isEmpty() ? note.strip() : read.name());
        return written + read.attributes();
    }

    /** Reads words as people say them: {@code bicep curls 12}, {@code row 10 each side}, {@code plank half a minute}. */
    public Note note(String note) {
        String rest =
                " " + inFigures(note.toLowerCase(Locale.ROOT)).replace('—', '-').replace('–', '-') + " ";
        String further = "";
        Matcher separate = SEPARATE.matcher(rest);
        Matcher alternate = ALTERNATE.matcher(rest);
        if (separate.find()) {
            further += "  sides separate";
            rest = separate.replaceFirst(" ");
        } else if (alternate.find()) {
            further += "  sides alternate";
            rest = alternate.replaceFirst(" ");
        }
        boolean each = EACH.matcher(rest.strip()).find();
        rest = EACH.matcher(rest).replaceAll(" ");
        Said said = new Said(rest, further);
        said.take(TEMPO, m -> "  tempo " + m.group(1));
        said.take(LOAD, m -> "  load " + m.group(1));
        said.take(GEAR, m -> "  gear " + gearOf(m));
        further = said.attributes;
        Said amount = new Said(said.rest, "");
        String eachSide = each ? " each-side" : "";
        boolean told = amount.take(SETS_TIME, m -> "  sets " + m.group(1) + "  work " + clockOf(m.group(2)))
                || amount.take(SETS, m -> "  sets " + m.group(1) + "  reps " + m.group(2) + eachSide)
                || amount.take(TIME, m -> "  work " + clockOf(m.group().replaceFirst("for ", "")))
                || amount.take(REPS, m -> "  reps " + m.group(1) + eachSide);
        if (each && !further.contains("  sides ")) {
            boolean counted = told && amount.attributes.contains("reps");
            amount.attributes += counted ? "  sides separate" : "  sides halves";
        }
        return new Note(nameIn(amount.rest), amount.attributes + further);
    }

    /** What is left of a note, and what was read from it. */
    private static final class Said {
        private String rest;
        private String attributes;

        Said(String rest, String attributes) {
            this.rest = rest;
            this.attributes = attributes;
        }

        /** Reads the first thing of its kind, if there is one. */
        boolean take(Pattern pattern, Function<Matcher, String> written) {
            Matcher m = pattern.matcher(rest);
            boolean found = m.find();
            if (found) {
                attributes += written.apply(m);
                rest = m.replaceFirst(" ");
            }
            return found;
        }
    }

    private static String nameIn(String rest) {
        return rest.replaceAll("\\b(?:reps?|times|sets?)\\b", " ")
                .replaceFirst("^\\s*of\\b", " ")
                .replaceAll("[^\\p{L}\\p{N}'+-]+", " ")
                .replaceAll("(?:^|\\s)[-x](?=\\s|$)", " ")
                .replaceAll("\\s+", " ")
                .strip();
    }

    /** As the notation has it: the thing, then how heavy it is. */
    private static String gearOf(Matcher gear) {
        String thing = gear.group(2) != null ? gear.group(2) : gear.group(4);
        for (int weight : new int[] {1, 3, 5}) {
            if (gear.group(weight) != null) {
                return thing + " " + gear.group(weight);
            }
        }
        return thing;
    }

    /** Lengths and small numbers that are said in words. */
    private static String inFigures(String note) {
        String figures = note.replaceAll("\\bhalf a min(?:ute)?\\b", "30 s")
                .replaceAll("\\b(?:a|one) min(?:ute)? and a half\\b", "90 s")
                .replaceAll("\\b(?:a|one) min(?:ute)?\\b", "60 s");
        for (int n = 0; n < NUMBERS.size(); n++) {
            figures = figures.replaceAll(
                    "(?<![-\\p{L}])" + NUMBERS.get(n) + "\\b(?![ -]?(?:arm|leg|side))", "" + (n + 2));
        }
        return figures;
    }

    private static String clockOf(String time) {
        return DurationText.parse(time.strip()).map(l -> l.clock()).orElse(time);
    }
}
