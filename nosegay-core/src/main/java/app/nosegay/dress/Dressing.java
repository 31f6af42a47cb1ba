package app.nosegay.dress;

import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * All pieces of a programme and where they sit.
 *
 * @param pieces in order of their start
 * @param layout where groups of them sit, interval by interval
 * @param notes what was decided by hand, the style among it
 */
public record Dressing(List<Piece> pieces, Layout layout, DressNotes notes) {
    /** A timer at zero makes room for the next at this share of its size. */
    private static final double ASIDE = 0.55;

    private static final double GAP = 10;
    /** A name with what move of how many it is; below it the working side, as wide as its word. */
    private static final double PLATE = 104;

    private static final double BADGE = 60;
    private static final double COUNTER = 84;
    private static final double STRIP = 9;
    private static final double TITLE_HEIGHT = 190;
    private static final double TITLE_OPACITY = 0.96;
    private static final double CAPTION_HEIGHT = 84;
    /** Above it stands who speaks, where several do. */
    private static final double SPEAKER_HEIGHT = 34;

    public Dressing {
        List<Piece> sorted = new ArrayList<>(pieces);
        sorted.sort(Comparator.comparing((Piece p) -> p.span().start()));
        pieces = List.copyOf(sorted);
    }

    /** With more pieces. */
    public Dressing with(List<Piece> more) {
        List<Piece> all = new ArrayList<>(pieces);
        all.addAll(more);
        return new Dressing(all, layout, notes);
    }

    /** What is on screen at {@code time}, wherever it sits. */
    public List<Face> at(Time<Axis.Cut> time) {
        return shown(time).stream().map(PlacedOverlay::face).toList();
    }

    /** What is on screen at {@code time} and where; of two timers the one at zero stands aside. */
    public List<PlacedOverlay> shown(Time<Axis.Cut> time) {
        List<PlacedOverlay> shown = new ArrayList<>();
        PlacedOverlay clock = null;
        for (Piece piece : pieces) {
            if (piece.span().start().isAfter(time)) {
                break;
            }
            if (!piece.span().contains(time)) {
                continue;
            }
            PlacedOverlay now = place(piece, piece.at(time));
            if (now.face() instanceof Face.Timer) {
                if (clock != null) {
                    shown.remove(clock);
                    shown.add(aside(clock, now));
                }
                clock = now;
            }
            shown.add(now);
        }
        return shown;
    }

    private static PlacedOverlay aside(PlacedOverlay old, PlacedOverlay now) {
        Box b = now.box();
        double width = old.box().width() * ASIDE;
        double height = old.box().height() * ASIDE;
        double x = now.right() ? b.x() - GAP - width : b.right() + GAP;
        Box small = new Box(x, now.bottom() ? b.bottom() - height : b.y(), width, height);
        return new PlacedOverlay(old.face(), small, old.opacity(), old.right(), old.bottom());
    }

    /** Where a face of {@code piece} sits. */
    public PlacedOverlay place(Piece piece, Face face) {
        Style style = notes.style();
        Frame frame = layout.frame();
        Layout.Area area = layout.at(piece.span().start()).orElse(null);
        Box room = Layout.room(frame, notes.shows(DressNotes.Extra.PROGRESS));
        double scale = style.scale();
        if (face instanceof Face.Progress) {
            Box safe = frame.safe();
            return fixed(face, new Box(safe.x(), safe.y(), safe.width(), STRIP), 1);
        }
        if (face instanceof Face.LevelBadge badge) {
            Box own = area == null ? null : area.badges().get(badge);
            return fixed(
                    face,
                    own != null
                            ? own
                            : LevelBadges.of(List.of(badge), List.of(), OccupancyMap.none(), frame, room, scale)
                                    .get(badge),
                    1);
        }
        if (face instanceof Face.Caption caption) {
            double width = room.width() * 0.72;
            double height = (CAPTION_HEIGHT + (caption.speaker().isEmpty() ? 0 : SPEAKER_HEIGHT)) * scale;
            return fixed(
                    face, new Box(room.x() + (room.width() - width) / 2, room.bottom() - height, width, height), 1);
        }
        if (face instanceof Face.Card card
                && (card.kind() == Face.CardKind.TITLE || card.kind() == Face.CardKind.END)) {
            return title(card, area, room);
        }
        Layout.Group group = group(face);
        Layout.Anchor anchor = area == null ? null : area.anchors().get(group);
        if (anchor == null) {
            return usual(face, group, room);
        }
        Box box = area.boxes().get(group);
        double[] grey = area.stretch().occupancy().brightness(box, frame);
        return part(face, box, anchor, style, Contrast.enough(style, grey[0], grey[1]));
    }

    private PlacedOverlay title(Face.Card card, Layout.Area area, Box room) {
        double height = TITLE_HEIGHT * notes.style().scale();
        Box low = new Box(room.x(), room.bottom() - height, room.width(), height);
        Box high = new Box(room.x(), room.y(), room.width(), height);
        // Above the end the host puts its own pieces.
        boolean up = card.kind() == Face.CardKind.TITLE
                && area != null
                && area.stretch().occupancy().touched(high, layout.frame())
                        < area.stretch().occupancy().touched(low, layout.frame());
        return fixed(card, up ? high : low, TITLE_OPACITY);
    }

    private PlacedOverlay usual(Face face, Layout.Group group, Box room) {
        // Outside every interval nothing of the kind is shown; a piece made by hand still gets its usual corner.
        Style style = notes.style();
        double[] size = Layout.size(group, style, Layout.Needs.WORDS.with(face));
        Layout.Anchor anchor = group == Layout.Group.CLOCK
                ? Layout.Anchor.TOP_RIGHT
                : group == Layout.Group.HEAD
                        ? Layout.Anchor.TOP_LEFT
                        : group == Layout.Group.CARD ? Layout.Anchor.BOTTOM_LEFT : Layout.Anchor.BOTTOM_RIGHT;
        Box usual = anchor.box(room, Math.min(size[0], room.width()), size[1]);
        return part(face, usual, anchor, style, style.opacity());
    }

    private static PlacedOverlay fixed(Face face, Box box, double opacity) {
        return new PlacedOverlay(face, box, opacity, false, true);
    }

    private static PlacedOverlay part(Face face, Box box, Layout.Anchor anchor, Style style, double opacity) {
        double scale = style.scale();
        boolean bottom = anchor.isBottom();
        Box own = box;
        double[] timer = Layout.size(Layout.Group.CLOCK, style, Layout.Needs.LEAST);
        if (face instanceof Face.Timer) {
            own = Layout.corner(box, anchor, timer[0], Math.min(box.height(), timer[1]));
        } else if (face instanceof Face.GetReady) {
            double width = box.width() - timer[0] - GAP;
            own = new Box(anchor.isRight() ? box.x() : box.right() - width, box.y(), width, box.height());
        } else if (face instanceof Face.Card card) {
            own = Layout.corner(
                    box, anchor, box.width(), Math.min(box.height(), PaperSize.height(card) * style.scale()));
        } else if (face instanceof Face.NamePlate) {
            own = slice(box, false, PLATE * scale);
        } else if (face instanceof Face.SideBadge badge) {
            Box row = new Box(box.x(), box.y() + (PLATE + GAP) * scale, box.width(), BADGE * scale);
            own = Layout.corner(
                    row,
                    anchor.isRight() ? Layout.Anchor.TOP_RIGHT : Layout.Anchor.TOP_LEFT,
                    Math.min(box.width(), PaperSize.width(badge) * scale),
                    row.height());
        } else if (face instanceof Face.RepCounter) {
            own = slice(box, bottom, COUNTER * scale);
        } else if (face instanceof Face.Tempo) {
            own = slice(box, !bottom, Math.max(0, box.height() - (COUNTER + 8) * scale));
        }
        return new PlacedOverlay(face, own, opacity, anchor.isRight(), bottom);
    }

    private static Box slice(Box box, boolean lower, double height) {
        return new Box(box.x(), lower ? box.bottom() - height : box.y(), box.width(), height);
    }

    static Layout.Group group(Face face) {
        if (face instanceof Face.Timer || face instanceof Face.GetReady) {
            return Layout.Group.CLOCK;
        }
        if (face instanceof Face.NamePlate || face instanceof Face.SideBadge badge) {
            return Layout.Group.HEAD;
        }
        if (face instanceof Face.RepCounter || face instanceof Face.Tempo) {
            return Layout.Group.REPS;
        }
        return Layout.Group.CARD;
    }
}
