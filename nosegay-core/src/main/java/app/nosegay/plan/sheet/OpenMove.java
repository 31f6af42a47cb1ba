package app.nosegay.plan.sheet;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** A move while its lines come in. */
final class OpenMove {
    final Map<Attribute, Object> attributes = new EnumMap<>(Attribute.class);
    final List<RunSheet.Cue> cues = new ArrayList<>();
    final List<RunSheet.LevelLine> levels = new ArrayList<>();
    final List<RunSheet.Override> overrides = new ArrayList<>();
    final List<RunSheet.ViewTurn> turns = new ArrayList<>();
    int line;
    String name;
    String slug;
    List<String> parts;

    RunSheet.MoveLine line() {
        return new RunSheet.MoveLine(
                line, name, slug, parts, new Attributes(attributes), cues, levels, overrides, turns);
    }
}
