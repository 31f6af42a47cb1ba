package app.nosegay.script;

import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.LevelLine;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.terms.Load;
import java.util.ArrayList;
import java.util.List;

/** What a level does differently from the main one, in the fewest words: "Oak: ten reps", "Seedling: deep split squat". */
public final class LevelWords {
    private LevelWords() {}

    public static String of(LevelLine level, MoveLine line, Block block) {
        Attributes usual = line.attributes().over(block.attributes());
        Attributes own = level.attributes();
        List<String> differences = new ArrayList<>();
        if (level.move() != null && !level.move().isBlank() && !level.move().equalsIgnoreCase(line.name())) {
            differences.add(Phrases.name(level.move()));
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
            differences.add("at " + own.tempo().get().text());
        }
        own.words(Attribute.POSITION)
                .filter(p -> !usual.words(Attribute.POSITION).equals(java.util.Optional.of(p)))
                .ifPresent(p -> differences.add(p.replace('-', ' ')));
        if (differences.isEmpty()) {
            return level.level() + " does the same.";
        }
        return level.level() + ": " + String.join(", ", differences) + ".";
    }
}
