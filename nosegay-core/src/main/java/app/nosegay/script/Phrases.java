package app.nosegay.script;

import app.nosegay.plan.check.Audience;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Cue;
import app.nosegay.plan.sheet.RunSheet.LevelLine;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.terms.Counts;
import app.nosegay.plan.terms.Load;
import app.nosegay.plan.terms.Reps;
import app.nosegay.time.Length;
import app.nosegay.time.Tempo;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What is said between the cues: short sentences of a trainer, put together from the plan's words. */
public final class Phrases {
    private static final Pattern COUNTS = Pattern.compile("(\\d{1,2})-(\\d{1,2})(?:\\s*x(\\d{1,3}))?");
    private static final Pattern WORD = Pattern.compile("(hold|pulse|halves)\\s+(\\d{1,3})(?:\\s*x\\s*(\\d{1,2}))?");

    private Phrases() {}

    /** A move's name as it is said: {@code squat + press} is "squat and press". */
    public static String name(String move) {
        return move.contains("+")
                ? Wordings.list(List.of(move.split("\\s*\\+\\s*")))
                : move.contains(", ") ? Wordings.list(List.of(move.split(", "))) : move;
    }

    /** "a squat, then a press". */
    static String inTurn(List<String> parts) {
        return parts.stream()
                .map(p -> p.endsWith("s") && !p.endsWith("ss") ? p : (p.matches("^[aeiou].*") ? "an " : "a ") + p)
                .collect(Collectors.joining(", then "));
    }

    /** A rep target as it is said: "ten", "ten to 15", "about ten"; of several sets, the one planned here. */
    static String reps(Reps reps, int planned) {
        String number = reps.least() == null
                ? Wordings.number(planned)
                : Wordings.number(reps.least()) + " to " + Wordings.number(reps.most());
        return (reps.about() ? "about " : "") + number;
    }

    /** What viewers do by themselves while the video waits. */
    static String alone(Length length) {
        return Wordings.capital(time(length)) + " on your own now. Pause here, and come back when you are done.";
    }

    /** A length as it is said: "40 seconds", "a minute and a half", "four minutes". */
    static String time(Length length) {
        long seconds = Math.round(length.seconds());
        long minutes = seconds / 60;
        long rest = seconds % 60;
        if (minutes == 0) {
            return Wordings.number((int) seconds) + (seconds == 1 ? " second" : " seconds");
        }
        String whole = minutes == 1 ? "a minute" : Wordings.number((int) minutes) + " minutes";
        return rest == 0
                ? whole
                : rest == 30 && minutes == 1
                        ? "a minute and a half"
                        : whole + " and " + Wordings.number((int) rest) + " seconds";
    }

    /** For whom an option is, as it is said to them. */
    static String forWhom(Audience audience) {
        return switch (audience) {
            case GENERAL -> "If you like, ";
            case BEGINNER -> "If you are new to this, ";
            case OLDER_ADULT -> "If you want it steadier, ";
            case CHAIR_BASED -> "If you stay on the chair, ";
            case PREGNANCY_1, PREGNANCY_2, PREGNANCY_3 -> "If you are pregnant, ";
            case AFTER_BIRTH -> "If you gave birth not long ago, ";
            case RETURNING -> "If you are coming back after a treatment, ";
            default -> "If you have " + audience.word().replace('-', ' ') + ", ";
        };
    }

    /** A tempo as it is said: "three down, one hold, one up". */
    static String tempo(Tempo tempo, boolean downFirst) {
        String first = downFirst ? "down" : "up";
        String back = downFirst ? "up" : "down";
        List<Double> phases = tempo.seconds();
        String held = phases.get(1) > 0 ? ", " + seconds(phases.get(1)) + " held" : "";
        return seconds(phases.get(0)) + " " + first + held + ", " + seconds(phases.get(2)) + " " + back;
    }

    private static String seconds(double seconds) {
        return seconds == Math.rint(seconds) ? Wordings.number((int) seconds) : "" + seconds;
    }

    /** A part of a counted phrase: "Two down, two up, four of those.", "Hold for four.", "Pulse, eight." */
    static String counts(Counts.Part part, boolean downFirst) {
        Matcher reps = COUNTS.matcher(part.text());
        if (reps.matches()) {
            int n = reps.group(3) == null ? 1 : Integer.parseInt(reps.group(3));
            String way = Wordings.number(Integer.parseInt(reps.group(1)))
                    + (downFirst ? " down, " : " up, ")
                    + Wordings.number(Integer.parseInt(reps.group(2)))
                    + (downFirst ? " up" : " down");
            return Wordings.capital(way) + (n == 1 ? ", once." : ", " + Wordings.number(n) + " of those.");
        }
        Matcher word = WORD.matcher(part.text());
        if (!word.matches()) {
            return "";
        }
        String n = Wordings.number(Integer.parseInt(word.group(2)));
        String times = word.group(3) == null ? "" : ", " + Wordings.number(Integer.parseInt(word.group(3))) + " times";
        return switch (word.group(1)) {
            case "hold" -> "Hold for " + n + times + ".";
            case "pulse" -> "Pulse, " + n + times + ".";
            default -> Wordings.capital(n) + " half ones" + times + ".";
        };
    }

    /** What a level does differently from the main one, in the fewest words: "Oak: ten reps". */
    static String level(LevelLine level, MoveLine line, Block block) {
        String does = difference(level, line, block, true);
        return level.level() + (does.isEmpty() ? " does the same." : ": " + does + ".");
    }

    /** What a level does differently, spoken or to be read on its badge; empty for nothing. */
    public static String difference(LevelLine level, MoveLine line, Block block, boolean spoken) {
        Attributes usual = line.attributes().over(block.attributes());
        Attributes own = level.attributes();
        List<String> differences = new ArrayList<>();
        if (level.move() != null && !level.move().isBlank() && !level.move().equalsIgnoreCase(line.name())) {
            differences.add(name(level.move()));
        }
        if (own.reps().isPresent() && !own.reps().equals(usual.reps())) {
            differences.add(Wordings.number(own.reps().get().ofSet(1)) + " reps");
        }
        if (own.load().isPresent() && !own.load().equals(usual.load())) {
            differences.add(own.load().map(Load::shown).orElse(""));
        }
        List<String> gear = own.list(Attribute.GEAR);
        if (!gear.isEmpty() && !gear.equals(usual.list(Attribute.GEAR))) {
            differences.add("with " + Wordings.list(gear));
        }
        if (own.tempo().isPresent() && !own.tempo().equals(usual.tempo())) {
            Tempo tempo = own.tempo().get();
            differences.add(spoken ? tempo(tempo, true) : tempo.text());
        }
        own.words(Attribute.POSITION)
                .filter(p -> !usual.words(Attribute.POSITION).equals(Optional.of(p)))
                .ifPresent(p -> differences.add(p.replace('-', ' ')));
        return String.join(", ", differences);
    }

    /** A way of doing it otherwise, as it is said. */
    static String option(Cue cue) {
        String for_ = condition(cue.condition());
        String text = for_.isEmpty()
                ? cue.text()
                : Character.toLowerCase(cue.text().charAt(0)) + cue.text().substring(1);
        return switch (cue.kind()) {
            case EASIER -> for_.isEmpty() ? "Easier: " + text : for_ + text;
            case HARDER -> for_.isEmpty() ? "Harder: " + text : for_ + text;
            default -> for_.isEmpty() ? "Instead: " + text : for_ + text;
        };
    }

    /** The condition of an option as it is said; empty for anyone. */
    private static String condition(String condition) {
        if (condition.isEmpty()) {
            return "";
        }
        boolean joint = condition.matches(
                "(?i)(?:sore )?(?:knees?|shoulders?|wrists?|back|lower back|hips?|neck|elbows?|ankles?)(?: trouble)?");
        if (joint) {
            return "If your " + condition.toLowerCase(Locale.ROOT).replaceAll("^sore | trouble$", "") + " complains, ";
        }
        return Audience.of(condition).map(Phrases::forWhom).orElse("For " + condition + ", ");
    }
}
