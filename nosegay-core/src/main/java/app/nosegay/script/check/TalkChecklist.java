package app.nosegay.script.check;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.script.CuePlan;
import app.nosegay.script.Fields;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.Talk;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;

/** What an opening and a closing should hold, and whether it is said. */
public final class TalkChecklist {
    private final List<ScriptLine> lines;
    private final List<Item> items = new ArrayList<>();

    /**
     * One thing to say.
     *
     * @param name what
     * @param said whether the script says it
     * @param how a line that would say it, in fields; empty where there is none
     * @param kind the kind of that line
     */
    public record Item(String name, boolean said, String how, CueKind kind) {}

    private TalkChecklist(List<ScriptLine> lines) {
        this.lines = lines;
    }

    private void check(String name, Predicate<ScriptLine> says, CueKind kind, String how) {
        items.add(new Item(name, lines.stream().anyMatch(says), how, kind));
    }

    private static Predicate<ScriptLine> words(String pattern) {
        return l -> l.text().toLowerCase(Locale.ROOT).matches("(?s).*(?:" + pattern + ").*");
    }

    private static Predicate<ScriptLine> kind(CueKind kind) {
        return l -> l.kind() == kind;
    }

    /** The list for the talk before the first movement. */
    public static List<Item> opening(Timeline timeline, CuePlan plan, MoveLibrary library) {
        Segment first = timeline.segments().stream()
                .filter(s -> s.kind() == SegmentKind.TALK)
                .findFirst()
                .orElse(null);
        TalkChecklist list = new TalkChecklist(first == null ? List.of() : plan.of(first.id()));
        Fields fields = Fields.of(timeline, library);
        list.check(
                "hook", l -> l.kind() == CueKind.NAME || l.kind() == CueKind.WHY, CueKind.NAME, "Welcome to {title}.");
        list.check(
                "for whom",
                words("for (?:everyone|beginners?|you if|people|anyone|older)|this (?:one )?is for"),
                CueKind.WHY,
                fields.value("audience").isEmpty() ? "This one is for everyone." : "This one is for {audience}.");
        list.check(
                "gear",
                kind(CueKind.GEAR),
                CueKind.GEAR,
                fields.value("gear").equals("no gear at all") ? "You need no gear at all." : "You need {gear}.");
        list.check("format", words("minutes?|rounds?|moves?"), CueKind.NEXT, "{moves}, {rounds}, {minutes}.");
        if (!fields.value("levels").isEmpty()) {
            list.check("levels", words("shows? the|easier way|level"), CueKind.INSTEAD, "{levels}.");
        }
        boolean sided = timeline.segments().stream().anyMatch(s -> s.side() == Side.LEFT || s.side() == Side.RIGHT);
        if (sided) {
            list.check("side rule", words("mirror|my own left|whichever side|your left"), CueKind.SETUP, "{sides}.");
        }
        list.check("screening", kind(CueKind.CAUTION), CueKind.CAUTION, "{screening}");
        list.check(
                "seconds to the first movement",
                words("start in|second|begin in"),
                CueKind.TIME,
                "We start in {start-in}.");
        return List.copyOf(list.items);
    }

    /** The list for the talk behind the last movement. */
    public static List<Item> closing(Timeline timeline, CuePlan plan) {
        List<Segment> segments = timeline.segments();
        Segment last = segments.isEmpty() ? null : segments.get(segments.size() - 1);
        boolean talk = last != null && last.kind() == SegmentKind.TALK && Talk.isClosing(timeline, last);
        TalkChecklist list = new TalkChecklist(talk ? plan.of(last.id()) : List.of());
        list.check("recap", words("that was|you did|well done|minutes|moves"), CueKind.CHEER, Talk.THAT_WAS);
        boolean dosed = timeline.sheet().blocks().stream()
                .anyMatch(b -> b.attributes().has(Attribute.DOSE)
                        || b.moves().stream().anyMatch(m -> m.attributes().has(Attribute.DOSE)));
        if (dosed) {
            list.check("dose", words("sets of|reps|on your own"), CueKind.PERMIT, "On your own: {dose}.");
        }
        list.check(
                "how often",
                words("times a week|every (?:day|other|week)|a day between|once a week|twice a week"),
                CueKind.WHY,
                Talk.HOW_OFTEN);
        list.check("one request", l -> l.kind() == CueKind.ASK, CueKind.ASK, Talk.ASK);
        list.check(
                "what next",
                l -> l.kind() == CueKind.PLUG
                        || words("next (?:one|video|workout)").test(l),
                CueKind.PLUG,
                Talk.farewell(
                        timeline.sheet().header().policy().choice("end-card").isPresent()));
        return List.copyOf(list.items);
    }
}
