package app.nosegay.plan;

import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The run sheet expanded, second by second: segments that follow each other without gap or overlap.
 *
 * @param sheet where it comes from
 * @param segments in order
 */
public record Timeline(RunSheet sheet, List<Segment> segments) {
    public Timeline {
        segments = List.copyOf(segments);
    }

    /** Whether the sheet asks for more segments than are planned. */
    public boolean isFull() {
        return segments.size() >= SegmentList.MOST_SEGMENTS;
    }

    public Length total() {
        return segments.isEmpty()
                ? Length.ZERO
                : new Length(segments.get(segments.size() - 1).end().micros());
    }

    /** The sum of the segments of one kind. */
    public Length total(SegmentKind kind) {
        return segments.stream()
                .filter(s -> s.kind() == kind)
                .map(Segment::duration)
                .reduce(Length.ZERO, Length::plus);
    }

    /** The place of each segment in the order, by id. */
    public Map<String, Integer> indexes() {
        Map<String, Integer> indexes = new HashMap<>();
        for (int i = 0; i < segments.size(); i++) {
            indexes.put(segments.get(i).id(), i);
        }
        return indexes;
    }

    /** How many rounds each block has, by slug; blocks without numbered rounds are left out. */
    public Map<String, Integer> roundsByBlock() {
        Map<String, Integer> rounds = new HashMap<>();
        for (Segment s : segments) {
            if (s.round() != null) {
                rounds.merge(s.block().slug(), s.round(), Math::max);
            }
        }
        return rounds;
    }

    /**
     * A segment as people speak of it: "goblet squat, round 2, left", "rest after push-up, round 1", "Welcome"; the id itself where none
     * has it.
     */
    public String spoken(String id) {
        String move = null;
        for (Segment s : segments) {
            boolean moving = s.kind().isMoving() && s.move() != null;
            if (s.id().equals(id)) {
                return spoken(
                        s,
                        moving
                                ? s.move()
                                : s.kind() == SegmentKind.TALK ? s.block().name() : null,
                        move);
            }
            move = moving ? s.move() : move;
        }
        return id;
    }

    private static String spoken(Segment s, String what, String before) {
        StringBuilder spoken = new StringBuilder();
        if (what != null) {
            spoken.append(what);
        } else {
            spoken.append(s.kind().word()).append(before == null ? "" : CoreText.of("plan.timeline.after", before));
        }
        if (s.round() != null) {
            spoken.append(CoreText.of("plan.timeline.round")).append(s.round());
        }
        if (s.set() != null) {
            spoken.append(CoreText.of("plan.timeline.set")).append(s.set());
        }
        if (what != null && (s.side() == Side.LEFT || s.side() == Side.RIGHT)) {
            spoken.append(", ").append(s.side().word());
        }
        return spoken.toString();
    }

    public Optional<Segment> segment(String id) {
        return segments.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** The intervals in order. */
    public List<Interval> intervals() {
        Map<String, List<Segment>> byId = new LinkedHashMap<>();
        for (Segment segment : segments) {
            byId.computeIfAbsent(segment.interval(), k -> new ArrayList<>()).add(segment);
        }
        return byId.entrySet().stream()
                .map(e -> new Interval(e.getKey(), e.getValue()))
                .toList();
    }

    /**
     * The distinct moves done in work segments, as a viewer counts them: once however many rounds and sides, compounds of moves
     * already done alone not at all, bonus moves only when {@code withBonus}.
     */
    public List<String> workMoves(boolean withBonus) {
        Set<String> moves = new LinkedHashSet<>();
        for (Segment s : segments) {
            if (s.kind() == SegmentKind.WORK && s.line() != null) {
                addMoves(s, withBonus, moves);
            }
        }
        return List.copyOf(moves);
    }

    private static void addMoves(Segment s, boolean withBonus, Set<String> moves) {
        // In one window for the whole list every move of the block is done.
        for (MoveLine line : s.isWindow() ? s.block().moves() : List.of(s.line())) {
            boolean bonus = line.attributes().flag(Attribute.BONUS)
                    || s.block().attributes().flag(Attribute.BONUS);
            String move = s.isWindow() ? line.name() : s.move();
            if ((withBonus || !bonus) && !moves.contains(move) && !moves.containsAll(line.parts())) {
                moves.add(move);
            }
        }
    }
}
