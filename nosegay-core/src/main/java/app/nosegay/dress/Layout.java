package app.nosegay.dress;

import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Where groups of pieces sit, interval by interval: clear of people, of each other and of the picture's edge, near their usual corner,
 * and not hopping about ({@link Places}).
 *
 * @param areas in order of time
 */
public record Layout(Frame frame, List<Area> areas) {
    /** Boxes keep this far apart, in units. */
    static final double GAP = PaperSize.GAP;
    /** Height of the strip that shows the whole workout, with the space below it. */
    private static final double PROGRESS_STRIP = 18;

    private static final double COUNT_IN = 170;

    /** A name plate narrower than this cannot be read. */
    private static final double LEAST_HEAD = 260;

    public Layout {
        areas = List.copyOf(areas);
    }

    /** Pieces that stay together. */
    public enum Group {
        CLOCK("timer"),
        HEAD(CoreText.of("dress.layout.name-and-side")),
        CARD("cards"),
        REPS(CoreText.of("dress.layout.rep-counter"));

        private final String words;

        Group(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** The places of the frame a group can have. */
    public enum Anchor {
        TOP_LEFT(0, 0),
        TOP(0.5, 0),
        TOP_RIGHT(1, 0),
        LEFT(0, 0.5),
        RIGHT(1, 0.5),
        BOTTOM_LEFT(0, 1),
        BOTTOM(0.5, 1),
        BOTTOM_RIGHT(1, 1),
        UPPER_LEFT(0, 0.28),
        UPPER_RIGHT(1, 0.28);

        private final double across;
        private final double down;

        private static final List<Anchor> OF_WIDE = Arrays.asList(values()).subList(0, 8);
        private static final List<Anchor> OF_TALL = List.of(values());

        /** Those {@code frame} has room for: between the timer and the middle there is a place of its own only in tall pictures. */
        public static List<Anchor> of(Frame frame) {
            return frame.height() > frame.width() ? OF_TALL : OF_WIDE;
        }

        Anchor(double across, double down) {
            this.across = across;
            this.down = down;
        }

        /** The box of that size at this place of {@code room}. */
        public Box box(Box room, double width, double height) {
            return new Box(
                    room.x() + across * (room.width() - width),
                    room.y() + down * (room.height() - height),
                    width,
                    height);
        }

        public boolean isRight() {
            return across == 1;
        }

        public boolean isBottom() {
            return down == 1;
        }

        public String words() {
            return name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
        }
    }

    /**
     * What the groups have to show in a stretch beside what they always do.
     *
     * @param countIn a count before work, beside the timer
     * @param side a working side, under the name
     * @param tempo the way of a rep, with its count
     * @param name the width of the widest name
     * @param card the height of the highest card
     */
    public record Needs(boolean countIn, boolean side, boolean tempo, double name, double card) {
        public static final Needs LEAST = new Needs(false, false, false, 0, 0);
        /** Room for any words, but not for a count before work. */
        public static final Needs WORDS = new Needs(false, true, true, PaperSize.MOST_NAME, PaperSize.MOST_CARD);

        Needs with(Face face) {
            return and(new Needs(
                    face instanceof Face.GetReady,
                    face instanceof Face.SideBadge,
                    face instanceof Face.Tempo,
                    face instanceof Face.NamePlate plate ? PaperSize.width(plate) : 0,
                    face instanceof Face.Card words ? PaperSize.height(words) : 0));
        }

        Needs and(Needs other) {
            return new Needs(
                    countIn || other.countIn,
                    side || other.side,
                    tempo || other.tempo,
                    Math.max(name, other.name),
                    Math.max(card, other.card));
        }
    }

    /**
     * An interval to lay out.
     *
     * @param used the groups seen in it
     * @param badges the level badges at its start
     */
    public record Stretch(
            String interval,
            String block,
            Span<Axis.Cut> span,
            Set<Group> used,
            Needs needs,
            List<Face.LevelBadge> badges,
            OccupancyMap occupancy) {}

    /**
     * A laid-out interval.
     *
     * @param boxes where each group is
     * @param anchors the place of the frame each is nearest to: pieces keep to that side of their box
     * @param badges where each badge is
     */
    public record Area(
            Stretch stretch, Map<Group, Box> boxes, Map<Group, Anchor> anchors, Map<Face.LevelBadge, Box> badges) {}

    /** The size of a group, in units. */
    public static double[] size(Group group, Style style, Needs needs) {
        double[] size =
                switch (group) {
                    case HEAD -> new double[] {needs.name(), needs.side() ? 176 : 106};
                    case CARD -> new double[] {PaperSize.CARD_WIDTH, needs.card()};
                    case REPS -> new double[] {240, needs.tempo() ? 150 : 84};
                    case CLOCK ->
                        switch (style.timer()) {
                            case PETALS, RING -> clock(200, 200, needs);
                            case DIGITS -> clock(220, 110, needs);
                            case BAR -> clock(330, 104, needs);
                        };
                };
        return new double[] {size[0] * style.scale(), size[1] * style.scale()};
    }

    /** The count before work stands beside the timer. */
    private static double[] clock(double width, double height, Needs needs) {
        return needs.countIn()
                ? new double[] {width + GAP + COUNT_IN, Math.max(height, COUNT_IN)}
                : new double[] {width, height};
    }

    /** The part of the frame pieces may be in: what players show, below the strip of progress, which lies where feet are not. */
    public static Box room(Frame frame, boolean progress) {
        Box safe = frame.safe();
        return progress
                ? new Box(safe.x(), safe.y() + PROGRESS_STRIP, safe.width(), safe.height() - PROGRESS_STRIP)
                : safe;
    }

    public static Layout of(List<Stretch> stretches, Frame frame, DressNotes notes) {
        return new Layout(frame, Places.of(stretches, frame, notes));
    }

    /** How large a group is in a stretch, at the most: what it shows there and what the picture has room for. */
    static double[] size(Group group, Needs needs, Box room, Style style) {
        double[] size = size(group, style, needs);
        // In a narrow picture the name stands beside the timer, not across people.
        double beside = room.width() - size(Group.CLOCK, style, Needs.LEAST)[0] - 2 * GAP;
        double most = group == Group.HEAD && beside > LEAST_HEAD ? Math.min(beside, room.width()) : room.width();
        return new double[] {Math.min(size[0], most), Math.min(size[1], room.height())};
    }

    /** A part of {@code box} at the corner pieces near {@code anchor} keep to. */
    static Box corner(Box box, Anchor anchor, double width, double height) {
        return new Box(
                anchor.isRight() ? box.right() - width : box.x(),
                anchor.isBottom() ? box.bottom() - height : box.y(),
                width,
                height);
    }

    /** The area of the interval that is on at {@code time}; the nearest before it where none is. */
    public Optional<Area> at(Time<Axis.Cut> time) {
        Area found = null;
        for (Area a : areas) {
            if (a.stretch().span().start().isAfter(time)) {
                break;
            }
            found = a;
        }
        return Optional.ofNullable(found);
    }
}
