package app.nosegay.dress;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What was decided about the dressing by hand; kept with the workout.
 *
 * @param style the chosen style; a shipped one or one of the creator's own
 * @param off kinds of pieces that are not shown
 * @param places groups put somewhere by hand; a narrower scope counts over a wider one
 * @param sound what is done to the sound
 */
public record DressNotes(Style style, Set<Extra> off, List<Put> places, Sound sound) {
    public static final DressNotes NONE =
            new DressNotes(Style.PRESSED, EnumSet.of(Extra.BURNED_CAPTIONS), List.of(), Sound.USUAL);

    public DressNotes {
        off = Set.copyOf(off);
        places = List.copyOf(places);
    }

    /** Kinds of pieces that can be left out. */
    public enum Extra {
        PROGRESS("whole-workout progress"),
        LEVELS("level badges"),
        OPTIONS("options"),
        FORM_CUES("form cues"),
        REP_COUNTERS("rep counters"),
        TEMPO("tempo guide"),
        SECTIONS("section cards"),
        CORRECTIONS("corrections"),
        BURNED_CAPTIONS("captions in the picture");

        private final String words;

        Extra(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * A group put at a place by hand.
     *
     * @param scope empty for the whole workout, a block's slug, or an interval's id
     */
    public record Put(Layout.Group group, String scope, Layout.Anchor anchor) {}

    /**
     * What is done to the sound of the finished programme.
     *
     * @param levelled whether it is brought to the target loudness
     * @param timerSounds whether beeps are mixed in where the room had none
     * @param music path of a music file, or empty
     * @param licence where the right to use it is noted, or empty
     * @param musicDb how far the music lies under the voice, in decibels, below 0
     */
    public record Sound(boolean levelled, boolean timerSounds, String music, String licence, double musicDb) {
        public static final Sound USUAL = new Sound(true, false, "", "", -18);

        public boolean hasMusic() {
            return !music.isEmpty();
        }
    }

    public boolean shows(Extra extra) {
        return !off.contains(extra);
    }

    public DressNotes withStyle(Style other) {
        return new DressNotes(other, off, places, sound);
    }

    public DressNotes with(Extra extra, boolean shown) {
        Set<Extra> less = off.isEmpty() ? EnumSet.noneOf(Extra.class) : EnumSet.copyOf(off);
        if (shown) {
            less.remove(extra);
        } else {
            less.add(extra);
        }
        return new DressNotes(style, less, places, sound);
    }

    public DressNotes withSound(Sound other) {
        return new DressNotes(style, off, places, other);
    }

    /** With a group at a place, in place of any such decision for the same scope. */
    public DressNotes with(Put put) {
        List<Put> more = new ArrayList<>(withoutPut(put.group(), put.scope()).places());
        more.add(put);
        return new DressNotes(style, off, more, sound);
    }

    public DressNotes withoutPut(Layout.Group group, String scope) {
        return new DressNotes(
                style,
                off,
                places.stream()
                        .filter(p -> p.group() != group || !p.scope().equals(scope))
                        .toList(),
                sound);
    }

    /** Where a group was put for an interval, the narrowest scope first; empty where nothing was decided. */
    public Optional<Layout.Anchor> put(Layout.Group group, String block, String interval) {
        for (String scope : List.of(interval, block, "")) {
            for (Put p : places) {
                if (p.group() == group && p.scope().equals(scope)) {
                    return Optional.of(p.anchor());
                }
            }
        }
        return Optional.empty();
    }

    /** With interval ids replaced where lines were renamed. */
    public DressNotes renamed(Map<String, String> ids) {
        return new DressNotes(
                style,
                off,
                places.stream()
                        .map(p -> new Put(p.group(), ids.getOrDefault(p.scope(), p.scope()), p.anchor()))
                        .toList(),
                sound);
    }
}
