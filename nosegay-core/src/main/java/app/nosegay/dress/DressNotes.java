package app.nosegay.dress;

import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
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
 * @param cover what the cover shows
 * @param timings cards that come and go when it was wanted
 */
public record DressNotes(
        Style style, Set<Extra> off, List<Put> places, Sound sound, Cover cover, List<CardTiming> timings) {
    public static final DressNotes NONE = new DressNotes(
            Style.PRESSED, EnumSet.of(Extra.BURNED_CAPTIONS), List.of(), Sound.USUAL, Cover.AUTOMATIC, List.of());

    public DressNotes {
        off = Set.copyOf(off);
        places = List.copyOf(places);
        timings = List.copyOf(timings);
    }

    /** Kinds of pieces that can be left out. */
    public enum Extra {
        PROGRESS(CoreText.of("dress.dress-notes.whole-workout-progress")),
        LEVELS(CoreText.of("dress.dress-notes.level-badges")),
        OPTIONS("options"),
        FORM_CUES(CoreText.of("dress.dress-notes.form-cues")),
        REP_COUNTERS(CoreText.of("dress.dress-notes.rep-counters")),
        TEMPO(CoreText.of("dress.dress-notes.tempo-guide")),
        SECTIONS(CoreText.of("dress.dress-notes.section-cards")),
        CORRECTIONS("corrections"),
        BURNED_CAPTIONS(CoreText.of("dress.dress-notes.captions-in-the-picture"));

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
     * @param shape the shape of picture it holds for; null for every one
     */
    public record Put(Layout.Group group, String scope, Layout.Anchor anchor, FrameShape shape) {
        /** In pictures of every shape. */
        public Put(Layout.Group group, String scope, Layout.Anchor anchor) {
            this(group, scope, anchor, null);
        }
    }

    /**
     * What is done to the sound of the finished programme.
     *
     * @param levelled whether it is brought to the target loudness
     * @param timerSounds whether beeps are mixed in where the room had none
     * @param music path of a music file, or empty
     * @param licence where the right to use it is noted, or empty
     * @param musicDb how far the music lies under the voice, in decibels, below 0
     * @param onBeat whether the music begins so that a beat falls on the first move
     * @param fadesNoises whether steps and handling are turned down where nobody speaks
     */
    public record Sound(
            boolean levelled,
            boolean timerSounds,
            String music,
            String licence,
            double musicDb,
            boolean onBeat,
            boolean fadesNoises) {
        public static final Sound USUAL = new Sound(true, false, "", "", -18, true, false);

        public Sound withMusic(String file) {
            return new Sound(levelled, timerSounds, file, file.isEmpty() ? "" : licence, musicDb, onBeat, fadesNoises);
        }

        /** The same with its music at another path. */
        public Sound withMusicAt(String path) {
            return new Sound(levelled, timerSounds, path, licence, musicDb, onBeat, fadesNoises);
        }

        public boolean hasMusic() {
            return !music.isEmpty();
        }
    }

    /**
     * The cover picture; whatever is empty is found by itself.
     *
     * @param take the take its frame is from, or empty
     * @param time when in that take
     * @param title the large words; empty for the workout's title
     * @param line the words under it; empty for length and number of moves
     * @param corner where the words stand; null for where the fewest people are
     */
    public record Cover(String take, Time<Axis.Take> time, String title, String line, Layout.Anchor corner) {
        public static final Cover AUTOMATIC = new Cover("", Time.zero(), "", "", null);

        public boolean hasFrame() {
            return !take.isEmpty();
        }

        public Cover withFrame(String from, Time<Axis.Take> at) {
            return new Cover(from, at, title, line, corner);
        }

        public Cover withWords(String large, String small) {
            return new Cover(take, time, large, small, corner);
        }

        public Cover withCorner(Layout.Anchor other) {
            return new Cover(take, time, title, line, other);
        }
    }

    public boolean shows(Extra extra) {
        return !off.contains(extra);
    }

    public DressNotes withStyle(Style other) {
        return new DressNotes(other, off, places, sound, cover, timings);
    }

    public DressNotes with(Extra extra, boolean shown) {
        Set<Extra> less = off.isEmpty() ? EnumSet.noneOf(Extra.class) : EnumSet.copyOf(off);
        if (shown) {
            less.remove(extra);
        } else {
            less.add(extra);
        }
        return new DressNotes(style, less, places, sound, cover, timings);
    }

    public DressNotes withSound(Sound other) {
        return new DressNotes(style, off, places, other, cover, timings);
    }

    public DressNotes withCover(Cover other) {
        return new DressNotes(style, off, places, sound, other, timings);
    }

    /** With a group at a place, in place of any such decision for the same scope and shape. */
    public DressNotes with(Put put) {
        List<Put> more = new ArrayList<>(without(put).places());
        more.add(put);
        return new DressNotes(style, off, more, sound, cover, timings);
    }

    /** Without what was decided for the group, scope and shape of {@code put}. */
    public DressNotes without(Put put) {
        return new DressNotes(
                style,
                off,
                places.stream()
                        .filter(p ->
                                p.group() != put.group() || !p.scope().equals(put.scope()) || p.shape() != put.shape())
                        .toList(),
                sound,
                cover,
                timings);
    }

    /** With a card at a time of its own, in place of any it had. */
    public DressNotes with(CardTiming timing) {
        List<CardTiming> more = new ArrayList<>(
                withoutTiming(timing.interval(), timing.kind(), timing.words()).timings());
        more.add(timing);
        return new DressNotes(style, off, places, sound, cover, more);
    }

    /** What was decided about the cards of an interval. */
    public List<CardTiming> timings(String interval) {
        return timings.stream().filter(t -> t.interval().equals(interval)).toList();
    }

    /** With a card back where it comes by itself. */
    public DressNotes withoutTiming(String interval, Face.CardKind kind, String words) {
        return new DressNotes(
                style,
                off,
                places,
                sound,
                cover,
                timings.stream().filter(t -> !t.isOf(interval, kind, words)).toList());
    }

    /**
     * Where a group was put for an interval in pictures of that shape: the narrowest scope first, in it what holds for this shape alone;
     * empty where nothing was decided.
     */
    public Optional<Layout.Anchor> put(Layout.Group group, String block, String interval, FrameShape shape) {
        List<Put> ofGroup = places.stream().filter(p -> p.group() == group).toList();
        for (String scope : List.of(interval, block, "")) {
            for (FrameShape of : Arrays.asList(shape, null)) {
                Optional<Put> put = ofGroup.stream()
                        .filter(p -> p.scope().equals(scope) && p.shape() == of)
                        .findFirst();
                if (put.isPresent()) {
                    return put.map(Put::anchor);
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
                        .map(p -> new Put(p.group(), ids.getOrDefault(p.scope(), p.scope()), p.anchor(), p.shape()))
                        .toList(),
                sound,
                cover,
                timings.stream()
                        .map(t -> t.in(ids.getOrDefault(t.interval(), t.interval())))
                        .toList());
    }
}
