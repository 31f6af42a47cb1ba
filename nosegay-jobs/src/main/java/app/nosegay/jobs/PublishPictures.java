package app.nosegay.jobs;

import app.nosegay.cut.Cut;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Layout;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.CloseUp;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.files.AtomicFile;
import app.nosegay.library.Move;
import app.nosegay.match.Match;
import app.nosegay.match.NegativeDemonstration;
import app.nosegay.media.FramePicker;
import app.nosegay.paint.CoverPainter;
import app.nosegay.paint.ViewerCard;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.Cautions;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.Wordings;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;

/** The outputs that are still pictures: covers and the card for viewers. */
public final class PublishPictures {
    private static final int FRAME_WIDTH = 1920;
    private static final int FRAME_HEIGHT = 1080;

    /** The title's size, in units of which the frame's shorter side has 720; the smaller can still be read as a thumbnail. */
    private static final double LARGEST_TITLE = 96;

    private static final double SMALLEST_TITLE = 54;
    /** A title that hides somebody is worse than one half as large. */
    private static final double HIDING = 4;

    /** The title's lines are no wider than these shares of a wide cover. */
    private static final double[] WIDEST = {0.62, 0.34};

    /** So many sets are looked at closely for a cover. */
    private static final int COVERS = 6;

    private static final List<Layout.Anchor> CORNERS = List.of(
            Layout.Anchor.BOTTOM_LEFT, Layout.Anchor.TOP_LEFT, Layout.Anchor.BOTTOM_RIGHT, Layout.Anchor.TOP_RIGHT);

    private PublishPictures() {}

    /** A set that would make a cover, and how much moves in it. */
    private record Candidate(Segment segment, Match.Placed placed, TakeEvidence take, double motion) {}

    /** A moment that would make a cover, and how good a one. */
    private record Shown(Time<Axis.Cut> time, double worth) {}

    /**
     * Moments of the programme that would make a cover, the best first: of the sets in which most moves, one per move, where the move is
     * at its farthest and the face turned to the camera. Never a mistake shown on purpose.
     */
    public static List<Time<Axis.Cut>> coverMoments(Programme programme) {
        Map<String, Candidate> byMove = new LinkedHashMap<>();
        for (Segment s : programme.timeline().segments()) {
            Match.Placed p = programme.match().segment(s.id()).orElse(null);
            TakeEvidence take = p == null || s.kind() != SegmentKind.WORK
                    ? null
                    : programme.evidence().stream()
                            .filter(e -> e.id().equals(p.take()))
                            .findFirst()
                            .orElse(null);
            if (take != null && programme.cut().shown(p).isPresent()) {
                double motion =
                        mean(take.motion().part(new Span<>(p.start(), p.end())).values());
                byMove.merge(s.move(), new Candidate(s, p, take, motion), (a, b) -> b.motion() > a.motion() ? b : a);
            }
        }
        return byMove.values().stream()
                .sorted(Comparator.comparingDouble(Candidate::motion).reversed())
                .limit(COVERS)
                .map(c -> shown(programme, c))
                .filter(c -> !isMistake(programme, c.time()))
                .sorted(Comparator.comparingDouble(Shown::worth).reversed())
                .map(Shown::time)
                .toList();
    }

    private static boolean isMistake(Programme programme, Time<Axis.Cut> time) {
        return programme.cut().clipAt(time).stream().anyMatch(clip -> programme.evidence().stream()
                .filter(e -> e.id().equals(clip.take()))
                .flatMap(e -> NegativeDemonstration.in(e).stream())
                .anyMatch(wrong -> wrong.span().contains(clip.sourceAt(time))));
    }

    /** The moment of a set that shows it best. */
    private static Shown shown(Programme programme, Candidate c) {
        Span<Axis.Cut> shown = programme.cut().shown(c.placed()).orElseThrow();
        Match.Placed p = c.placed();
        Optional<CloseUp.Still> still = CloseUp.best(c.take(), new Span<>(p.performedStart(), p.performedEnd()));
        Time<Axis.Cut> time = still.flatMap(s -> programme.cut().toCut(p.take(), s.time()))
                .filter(shown::contains)
                .orElseGet(() -> middleRep(programme, c.segment(), p, shown));
        return new Shown(time, c.motion() * (1 + still.map(CloseUp.Still::face).orElse(0.0)));
    }

    /** Just before a rep is completed the presenter is on the way, not standing. */
    private static Time<Axis.Cut> middleRep(Programme programme, Segment s, Match.Placed p, Span<Axis.Cut> shown) {
        Time<Axis.Cut> middle = shown.start().plus(shown.length().times(0.5));
        List<Time<Axis.Take>> reps = programme.match().reps().getOrDefault(s.id(), List.of());
        Length half =
                s.tempo() == null ? Length.ofSeconds(1) : s.tempo().repLength().times(0.5);
        return reps.isEmpty()
                ? middle
                : programme
                        .cut()
                        .toCut(p.take(), reps.get(reps.size() / 2).minus(half))
                        .filter(shown::contains)
                        .orElse(middle);
    }

    /** The moment of the programme that makes the cover: as chosen, where that is still in it; else the best one. */
    public static Time<Axis.Cut> coverMoment(Programme programme) {
        DressNotes.Cover chosen = programme.workout().dressing().cover();
        return (chosen.hasFrame()
                        ? programme.cut().toCut(chosen.take(), chosen.time())
                        : Optional.<Time<Axis.Cut>>empty())
                .or(() -> coverMoments(programme).stream().findFirst())
                .orElse(Time.zero());
    }

    private static double mean(float[] values) {
        double sum = 0;
        for (float v : values) {
            sum += v;
        }
        return values.length == 0 ? 0 : sum / values.length;
    }

    static void cover(Programme programme, WorkoutMedia media, Output output, Path target) throws IOException {
        int width = output == Output.COVER_WIDE ? 1280 : 1080;
        int height = output == Output.COVER_WIDE ? 720 : output == Output.COVER_SQUARE ? 1080 : 1920;
        write(paint(programme, media, width, height), target);
    }

    /** The cover of {@code width} × {@code height} pixels. */
    public static BufferedImage paint(Programme programme, WorkoutMedia media, int width, int height)
            throws IOException {
        Time<Axis.Cut> at = coverMoment(programme);
        Cut.Clip clip = programme
                .cut()
                .pictureAt(at)
                .orElseThrow(() -> new IOException(JobText.of("publish-pictures.nothing-to-publish-yet-no")));
        BufferedImage frame;
        try (FramePicker picker =
                new FramePicker(media.files(programme.workout()).get(clip.take()))) {
            frame = picker.frameAt(clip.sourceAt(at), FRAME_WIDTH, FRAME_HEIGHT);
        }
        if (frame == null) {
            throw new IOException(
                    JobText.of("publish-pictures.its-picture-cannot-be-decoded", clip.take(), clip.sourceAt(at)));
        }
        return CoverPainter.paint(
                frame,
                programme.focus(),
                lettering(programme, at, width, height),
                programme.workout().dressing().style(),
                width,
                height);
    }

    /** What stands under the title unless something else is wanted. */
    public static String coverLine(Programme programme) {
        long minutes = Math.round(programme.cut().total().seconds() / 60);
        int moves = programme.timeline().workMoves(false).size();
        return JobText.of("publish-pictures.min-move", minutes, moves);
    }

    /** The words, as large as they can be in a corner where they hide nobody. */
    private static CoverPainter.Lettering lettering(Programme programme, Time<Axis.Cut> at, int width, int height) {
        DressNotes.Cover chosen = programme.workout().dressing().cover();
        String own = programme.timeline().sheet().header().title();
        String title = !chosen.title().isBlank()
                ? chosen.title()
                : own.isEmpty() ? JobText.of("publish-pictures.workout") : own;
        String line = chosen.line().isBlank() ? coverLine(programme) : chosen.line();
        Frame whole = Frame.of(width, height);
        Frame frame = new Frame(whole.width(), whole.height(), programme.focus());
        OccupancyMap occupancy = programme
                .dressing()
                .layout()
                .at(at)
                .map(area -> area.stretch().occupancy().cropped(frame))
                .orElse(OccupancyMap.none());
        CoverPainter.Lettering best = null;
        double least = Double.MAX_VALUE;
        for (double px = LARGEST_TITLE; px >= SMALLEST_TITLE; px -= 6) {
            for (CoverPainter.Lettering words : ways(title, line, px, chosen.corner())) {
                Box box = CoverPainter.box(words, programme.workout().dressing().style(), whole);
                double hides = occupancy.behind(box, frame) + occupancy.heads(box, frame);
                double tooLarge = Math.max(0, box.width() - whole.safe().width())
                        + Math.max(0, box.height() - 0.45 * whole.height());
                double cost = HIDING * hides + (LARGEST_TITLE - px) / LARGEST_TITLE + tooLarge;
                if (cost < least - 1e-9) {
                    least = cost;
                    best = words;
                }
            }
        }
        return best;
    }

    /** The words of a size in every corner, or the one that was chosen, long and low or short and high. */
    private static List<CoverPainter.Lettering> ways(String title, String line, double px, Layout.Anchor chosen) {
        List<CoverPainter.Lettering> ways = new ArrayList<>();
        for (Layout.Anchor corner : chosen != null ? List.of(chosen) : CORNERS) {
            for (double widest : WIDEST) {
                ways.add(new CoverPainter.Lettering(title, line, px, widest, corner.isRight(), !corner.isBottom()));
            }
        }
        return ways;
    }

    static void card(Programme programme, Path target) throws IOException {
        Timeline timeline = programme.timeline();
        String gear = PrintJob.gear(programme.report().gear());
        String title = timeline.sheet().header().title();
        write(
                ViewerCard.paint(
                        title.isEmpty() ? JobText.of("publish-pictures.workout") : title,
                        List.of(
                                JobText.of(
                                        "publish-pictures.min",
                                        Math.round(programme.cut().total().seconds() / 60)),
                                JobText.of(
                                        "publish-pictures.you-need",
                                        gear.isEmpty() ? JobText.of("publish-pictures.some-room") : gear)),
                        rows(programme),
                        Cautions.SCREENING + " " + Cautions.DEFERENCE),
                target);
    }

    /** The moves block by block with what viewers do: the dose where the video shows less. */
    static List<ViewerCard.Row> rows(Programme programme) {
        List<ViewerCard.Row> rows = new ArrayList<>();
        Block block = null;
        Set<String> seen = new HashSet<>();
        for (Segment s : programme.timeline().segments()) {
            boolean moving = s.kind().isMoving();
            if (moving && s.block() != block) {
                block = s.block();
                seen.clear();
                rows.add(new ViewerCard.Row(null, Wordings.capital(block.name()), ""));
            }
            if (moving && seen.add(s.move())) {
                rows.add(new ViewerCard.Row(
                        s.wholeMove(programme.library()).map(Move::figure).orElse("stand"),
                        Wordings.capital(s.move()),
                        amount(s, programme.timeline())));
            }
        }
        return rows;
    }

    private static String amount(Segment s, Timeline timeline) {
        long times = timeline.segments().stream()
                .filter(o -> o.block() == s.block()
                        && o.kind() == s.kind()
                        && s.move().equals(o.move()))
                .map(o -> o.interval())
                .distinct()
                .count();
        Length one = timeline.intervals().stream()
                .filter(i -> i.id().equals(s.interval()))
                .map(i -> i.length())
                .findFirst()
                .orElse(s.duration());
        String each = s.reps() != null ? JobText.of("publish-pictures.reps", s.reps()) : one.clock();
        return times > 1 ? times + " × " + each : each;
    }

    private static void write(BufferedImage image, Path target) throws IOException {
        try (AtomicFile file = new AtomicFile(target)) {
            ImageIO.write(image, "png", file.part().toFile());
            BufferedImage read = ImageIO.read(file.part().toFile());
            if (read == null || read.getWidth() != image.getWidth() || read.getHeight() != image.getHeight()) {
                throw new IOException(JobText.of("publish-pictures.was-read-back-differently-the", target));
            }
            file.commit();
        }
    }
}
