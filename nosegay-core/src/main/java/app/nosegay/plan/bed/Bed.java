package app.nosegay.plan.bed;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Item;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.sheet.RunSheet.RestLine;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.text.CoreText;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The whole plan on the bed, block by block. */
public final class Bed {
    private final Timeline timeline;
    private final MoveLibrary library;
    private final String[] lines;
    private final Map<Integer, List<Mark>> marks = new HashMap<>();
    private final Set<String> unoptioned;
    private final Map<Block, List<Segment>> segments = new LinkedHashMap<>();

    private Bed(PlanReport report, MoveLibrary library) {
        this.timeline = report.timeline();
        this.library = library;
        this.lines = timeline.sheet().text().split("\r\n|\n|\r", -1);
        for (Finding f : report.findings()) {
            marks.computeIfAbsent(f.line(), k -> new ArrayList<>()).add(new Mark(f.severity(), f.message()));
        }
        unoptioned = report.findings().stream()
                .filter(f -> f.code().equals("plan.no-easier"))
                .map(f -> "" + f.line())
                .collect(java.util.stream.Collectors.toSet());
        timeline.segments().forEach(s -> segments.computeIfAbsent(s.block(), b -> new ArrayList<>())
                .add(s));
    }

    /**
     * The rows of a plan.
     *
     * @param rounds the round or set that is shown, from 1, by block slug; the first where nothing is said
     */
    public static List<BedRow> rows(PlanReport report, MoveLibrary library, Map<String, Integer> rounds) {
        Bed bed = new Bed(report, library);
        return bed.timeline.sheet().blocks().stream()
                .map(b -> bed.row(b, rounds.getOrDefault(b.slug(), 1)))
                .toList();
    }

    private BedRow row(Block block, int wanted) {
        List<Segment> all = segments.getOrDefault(block, List.of());
        int rounds = Math.max(1, all.stream().mapToInt(Bed::index).max().orElse(1));
        int round = Math.max(1, Math.min(wanted, rounds));
        String head = lines[block.line() - 1];
        boolean named = !block.name().equals(block.kind().word());
        Field name = new Field(
                Field.NAME,
                named
                        ? block.name()
                        : CoreText.of("plan.bed.kind." + block.kind().word()),
                named ? block.name() : "");
        Length length = all.stream().map(Segment::duration).reduce(Length.ZERO, Length::plus);
        return new BedRow(
                block.line(),
                new BedRow.Content(
                        block.slug(),
                        block.kind(),
                        name,
                        Sentence.of(block, head, timeline.sheet().header()),
                        items(block, all, round),
                        rounds,
                        round,
                        length,
                        marks.getOrDefault(block.line(), List.of())));
    }

    private static int index(Segment s) {
        return s.round() != null ? s.round() : s.set() != null ? s.set() : 1;
    }

    private List<BedItem> items(Block block, List<Segment> all, int round) {
        List<BedItem> items = new ArrayList<>();
        for (Item item : block.items()) {
            if (item instanceof MoveLine move) {
                List<Segment> own = all.stream()
                        .filter(s -> s.line() != null && s.line().line() == move.line() && index(s) == round)
                        .toList();
                items.add(leaf(block, move, own, round));
                own.stream()
                        .filter(s -> s.kind() == SegmentKind.REST)
                        .reduce((first, last) -> last)
                        .ifPresent(rest -> items.add(new Gap(
                                move.line() - block.line(),
                                source(block, move),
                                rest.duration(),
                                rest.move() == null ? "" : rest.move(),
                                rest.teaches() == null ? "" : rest.teaches(),
                                List.of())));
            } else if (item instanceof RestLine rest) {
                items.add(new Gap(
                        rest.line() - block.line(),
                        Gap.Source.LINE,
                        rest.pause().planned(),
                        rest.attributes().words(Attribute.ACTIVE).orElse(""),
                        "",
                        marks.getOrDefault(rest.line(), List.of())));
            }
        }
        return items;
    }

    private static Gap.Source source(Block block, MoveLine move) {
        List<MoveLine> moves = block.moves();
        boolean last = moves.get(moves.size() - 1) == move;
        return switch (block.kind()) {
            case EVERY_MINUTE -> Gap.Source.MINUTE;
            case SUPERSET -> last && !move.attributes().has(Attribute.REST) ? Gap.Source.SET : Gap.Source.MOVE;
            default -> last && block.attributes().has(Attribute.ROUND_REST) ? Gap.Source.ROUND : Gap.Source.MOVE;
        };
    }

    private Leaf leaf(Block block, MoveLine move, List<Segment> own, int round) {
        Attributes merged = move.attributes().over(block.attributes());
        RunSheet.Override override = move.overrides().stream()
                .filter(o -> o.index() == round)
                .findFirst()
                .orElse(null);
        if (override != null) {
            merged = override.attributes().over(merged);
        }
        List<Segment> moving =
                own.stream().filter(s -> s.kind() != SegmentKind.REST).toList();
        Length length = moving.stream().map(Segment::duration).reduce(Length.ZERO, Length::plus);
        Field ends = ends(block, move, override);
        SideWay way = merged.sides();
        String name = override != null && override.move() != null ? override.move() : move.name();
        List<Tag> tags = tags(move, merged);
        List<Tag.Kind> missing = unoptioned.contains("" + move.line()) ? List.of(Tag.Kind.EASIER) : List.of();
        List<Move> known = library.parts(name);
        return new Leaf(
                move.line() - block.line(),
                name,
                known.stream().map(Move::name).toList(),
                ends,
                amount(block, ends, way, moving),
                way,
                length,
                tags,
                missing,
                override != null,
                merged.flag(Attribute.BONUS),
                merged.counts().map(c -> Bead.of(c.text())).orElse(List.of()),
                marks.getOrDefault(move.line(), List.of()));
    }

    private Field ends(Block block, MoveLine move, RunSheet.Override override) {
        if (override != null) {
            for (Attribute a : Sentence.order(block.kind())) {
                if (override.attributes().has(a)) {
                    String said = lines[override.line() - 1].replaceFirst("^[^:]*:", "-  ");
                    String value = SheetText.value(said, a).orElse("");
                    return Field.of(Field.ENDS, a.word() + " " + value);
                }
            }
        }
        String line = Sentence.hasEnd(move) ? lines[move.line() - 1] : lines[block.line() - 1];
        for (Attribute a : Sentence.order(block.kind())) {
            String value = SheetText.value(line, a).orElse(null);
            if (value != null) {
                return Field.of(Field.ENDS, a.word() + " " + value);
            }
        }
        return new Field(Field.ENDS, CoreText.of("plan.bed.no-ends"), "");
    }

    /** How much a leaf is: repetitions or its time, and whether that is for each side. */
    private static String amount(Block block, Field ends, SideWay way, List<Segment> moving) {
        boolean window = moving.stream().anyMatch(Segment::isWindow);
        if (window) {
            return ends.written().isEmpty() || ends.written().startsWith("work") ? "" : ends.shown();
        }
        boolean each = way == SideWay.SEPARATE || way == SideWay.ROUNDS || way == SideWay.SETS || way == SideWay.CHAIN;
        Segment first =
                moving.stream().filter(s -> s.kind().isMoving()).findFirst().orElse(null);
        boolean counts = ends.written().startsWith("counts");
        String much = counts && first != null ? first.duration().clock() : ends.shown();
        if (ends.written().isEmpty() && first != null) {
            much = first.duration().clock();
        }
        boolean said = ends.written().contains("each-side");
        return each && !said ? CoreText.of("plan.bed.each-side", much) : much;
    }

    private List<Tag> tags(MoveLine move, Attributes merged) {
        List<Tag> tags = new ArrayList<>();
        for (RunSheet.Cue cue : move.cues()) {
            Tag.Kind kind =
                    switch (cue.kind()) {
                        case EASIER, INSTEAD -> Tag.Kind.EASIER;
                        case HARDER -> Tag.Kind.HARDER;
                        case CAUTION -> Tag.Kind.CAUTION;
                        default -> null;
                    };
            if (kind != null) {
                tags.add(new Tag(kind, cue.text()));
            }
        }
        if (tags.stream().noneMatch(t -> t.kind() == Tag.Kind.EASIER)) {
            library.parts(move.name()).stream()
                    .flatMap(m -> m.cues(CueKind.EASIER).stream())
                    .findFirst()
                    .ifPresent(text -> tags.add(0, new Tag(Tag.Kind.EASIER, text)));
        }
        List<String> gear = merged.list(Attribute.GEAR);
        if (!gear.isEmpty()) {
            tags.add(new Tag(Tag.Kind.GEAR, String.join(", ", gear)));
        }
        merged.words(Attribute.ANGLE).ifPresent(a -> tags.add(new Tag(Tag.Kind.VIEW, a)));
        move.levels().forEach(l -> tags.add(new Tag(Tag.Kind.LEVEL, l.level() + ": " + l.move())));
        return tags;
    }
}
