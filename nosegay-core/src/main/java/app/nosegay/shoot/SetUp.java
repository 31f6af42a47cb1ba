package app.nosegay.shoot;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.terms.Level;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * What has to be ready before the camera runs, from the plan.
 *
 * @param gear in the order it is first used
 * @param floor where people and things are put
 * @param angles the view each move wants, move by move
 * @param extremes what a test frame has to hold
 * @param checks light, sound and safety, to be ticked off
 * @param sayFirst what is said first
 */
public record SetUp(
        List<String> gear,
        List<String> floor,
        Map<String, String> angles,
        List<Extreme> extremes,
        List<String> checks,
        List<String> sayFirst) {

    public static SetUp of(Timeline timeline, CuePlan cues, GearList gear, MoveLibrary library) {
        Set<String> things = things(gear);
        List<String> floor = new ArrayList<>();
        for (Level level : timeline.sheet().header().levels()) {
            floor.add(CoreText.of(
                    "shoot.set-up.of-the-frame",
                    level.name(),
                    level.place().name().toLowerCase(Locale.ROOT)));
        }
        Map<String, String> angles = new LinkedHashMap<>();
        boolean overhead = false;
        boolean lying = false;
        boolean wide = false;
        boolean floorWork = false;
        for (Segment s : timeline.segments()) {
            for (Move move : s.kind().isMoving() ? s.moves(library) : List.<Move>of()) {
                angles.putIfAbsent(move.name(), move.view());
                overhead |= move.has("overhead");
                lying |= move.has("lying");
                wide |= move.pattern().equals("lunge") || move.pattern().equals("jump");
                floorWork |= move.isOnFloor();
            }
        }
        floor.add(CoreText.of("shoot.set-up.middle-of-the-frame-tape"));
        if (floorWork) {
            floor.add(CoreText.of("shoot.set-up.mat-along-the-frame-so"));
        }
        if (!things.isEmpty()) {
            floor.add(CoreText.of("shoot.set-up.gear-beside-the-mat-out", String.join(", ", things)));
        }
        List<Extreme> extremes = new ArrayList<>();
        extremes.add(overhead ? Extreme.WEIGHT_UP : Extreme.ARMS_UP);
        if (lying || floorWork) {
            extremes.add(Extreme.LYING);
        }
        extremes.add(wide ? Extreme.WIDE_STEP : Extreme.ARMS_OUT);
        List<String> first = cues.lines().stream()
                .filter(l -> !l.isCall())
                .limit(4)
                .map(ScriptLine::text)
                .toList();
        return new SetUp(List.copyOf(things), floor, angles, extremes, usualChecks(), first);
    }

    private static List<String> usualChecks() {
        return List.of(
                CoreText.of("shoot.set-up.light-from-the-front-no"),
                CoreText.of("shoot.set-up.microphone-near-one-loud-word"),
                CoreText.of("shoot.set-up.timer-sound-heard-in-the"),
                CoreText.of("shoot.set-up.footwear-quiet-on-this-floor"),
                CoreText.of("shoot.set-up.animals-doors-telephones-taken"),
                CoreText.of("shoot.set-up.water-within-reach-out-of"),
                CoreText.of("shoot.set-up.nothing-in-the-frame-that"));
    }

    private static Set<String> things(GearList gear) {
        Set<String> things = new LinkedHashSet<>();
        gear.used().forEach(u -> things.add(u.item().shown()));
        gear.announced().forEach(g -> things.add(g.shown()));
        // A thing announced with its weight is not laid out twice.
        things.removeIf(t -> things.stream().anyMatch(o -> !o.equals(t) && o.endsWith(" " + t)));
        return things;
    }
}
