package app.nosegay.jobs;

import app.nosegay.dress.Box;
import app.nosegay.dress.Frame;
import app.nosegay.dress.Heat;
import app.nosegay.dress.Layout;
import app.nosegay.match.Cut;
import app.nosegay.match.Match;
import app.nosegay.media.FramePicker;
import app.nosegay.paint.CoverPainter;
import app.nosegay.paint.ViewerCard;
import app.nosegay.plan.RunSheet.Block;
import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.Cautions;
import app.nosegay.script.Wordings;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.imageio.ImageIO;

/** The outputs that are still pictures: covers and the card for viewers. */
public final class PublishPictures {
    private static final int FRAME_WIDTH = 1920;
    private static final int FRAME_HEIGHT = 1080;

    private PublishPictures() {}

    /**
     * The moment of the programme that makes the cover: in the middle of the set in which most moves, where the presenter is furthest from
     * standing.
     */
    public static Time<Axis.Cut> coverMoment(Programme programme) {
        Time<Axis.Cut> best = Time.zero();
        double most = -1;
        for (Segment s : programme.timeline().segments()) {
            Match.Placed p = programme.match().segment(s.id()).orElse(null);
            Span<Axis.Cut> shown = p == null ? null : programme.cut().shown(p).orElse(null);
            if (s.kind() != SegmentKind.WORK || shown == null) {
                continue;
            }
            double motion = programme.evidence().stream()
                    .filter(e -> e.id().equals(p.take()))
                    .mapToDouble(e ->
                            mean(e.motion().part(new Span<>(p.start(), p.end())).values()))
                    .findFirst()
                    .orElse(0);
            if (motion > most) {
                most = motion;
                // Just before a rep is completed the presenter is on the way, not standing.
                List<Time<Axis.Take>> reps = programme.match().reps().getOrDefault(s.id(), List.of());
                Time<Axis.Cut> middle = shown.start().plus(shown.length().times(0.5));
                Length half = s.tempo() == null
                        ? Length.ofSeconds(1)
                        : s.tempo().repLength().times(0.5);
                best = reps.isEmpty()
                        ? middle
                        : programme
                                .cut()
                                .toCut(p.take(), reps.get(reps.size() / 2).minus(half))
                                .filter(shown::contains)
                                .orElse(middle);
            }
        }
        return best;
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
                .clipAt(at)
                .orElseThrow(() -> new IOException("nothing to publish yet: no segment is matched with a take"));
        BufferedImage frame;
        try (FramePicker picker =
                new FramePicker(media.files(programme.workout()).get(clip.take()))) {
            frame = picker.frameAt(clip.sourceAt(at), FRAME_WIDTH, FRAME_HEIGHT);
        }
        if (frame == null) {
            throw new IOException(clip.take() + ": its picture cannot be decoded at " + clip.sourceAt(at));
        }
        Layout.Anchor corner = corner(programme, at, width, height);
        Timeline timeline = programme.timeline();
        String title = timeline.sheet().header().title();
        long minutes = Math.round(programme.cut().total().seconds() / 60);
        int moves = timeline.workMoves(false).size();
        return CoverPainter.paint(
                frame,
                programme.focus(),
                title.isEmpty() ? "Workout" : title,
                minutes + " min  ·  " + moves + (moves == 1 ? " move" : " moves"),
                programme.workout().dressing().style(),
                width,
                height,
                corner.isRight(),
                !corner.isBottom());
    }

    /** The corner of the frame in which the fewest people are, for about the room the words take. */
    private static Layout.Anchor corner(Programme programme, Time<Axis.Cut> at, int width, int height) {
        Frame whole = Frame.of(width, height);
        Frame frame = new Frame(whole.width(), whole.height(), programme.focus());
        Layout.Area area = programme.dressing().layout().at(at).orElse(null);
        Layout.Anchor best = Layout.Anchor.BOTTOM_LEFT;
        double least = Double.MAX_VALUE;
        for (Layout.Anchor a : List.of(
                Layout.Anchor.BOTTOM_LEFT,
                Layout.Anchor.TOP_LEFT,
                Layout.Anchor.BOTTOM_RIGHT,
                Layout.Anchor.TOP_RIGHT)) {
            Box box = a.box(frame.safe(), frame.width() * 0.5, frame.height() * 0.38);
            Heat heat = area == null ? Heat.none() : area.stretch().heat().cropped(frame);
            double behind = heat.behind(box, frame) + heat.heads(box, frame);
            if (behind < least - 0.02) {
                least = behind;
                best = a;
            }
        }
        return best;
    }

    static void card(Programme programme, Path target) throws IOException {
        Timeline timeline = programme.timeline();
        String gear = PrintJob.gear(programme.report().gear());
        String title = timeline.sheet().header().title();
        write(
                ViewerCard.paint(
                        title.isEmpty() ? "Workout" : title,
                        List.of(
                                Math.round(programme.cut().total().seconds() / 60) + " min",
                                "You need: " + (gear.isEmpty() ? "some room" : gear)),
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
                        programme.library().find(s.move()).map(m -> m.motion()).orElse("stand"),
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
        String each = s.reps() != null ? s.reps() + " reps" : one.clock();
        return times > 1 ? times + " × " + each : each;
    }

    private static void write(BufferedImage image, Path target) throws IOException {
        Path fresh = target.resolveSibling(target.getFileName() + ".part");
        try {
            ImageIO.write(image, "png", fresh.toFile());
            BufferedImage read = ImageIO.read(fresh.toFile());
            if (read == null || read.getWidth() != image.getWidth() || read.getHeight() != image.getHeight()) {
                throw new IOException(target + " was read back differently; the disk may be full or failing");
            }
            Files.move(fresh, target, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(fresh);
        }
    }
}
