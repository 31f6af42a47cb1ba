package app.nosegay.standins;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.paint.StudioBackdrop;
import app.nosegay.plan.Segment;
import app.nosegay.plan.sheet.RunSheet.LevelLine;
import app.nosegay.plan.terms.Level;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;

/** Films a {@link Performance}: a drawn presenter (one per level) in a potting shed, with the sound of the room. */
public final class SimulatedCamera {
    public static final int WIDTH = 1280;
    public static final int HEIGHT = 720;
    private static final FrameRate RATE = new FrameRate(30, 1);
    private static final double FIGURE_HEIGHT = 0.60;
    private static final double SIDE_FIGURE = 0.82;
    /** What of the work is making the voice say the script. */
    private static final double VOICE_SHARE = 0.2;
    /** Pictures drawn before they are wanted: enough that neither waits for the other's slow ones. */
    private static final int AHEAD = 6;

    private final Performance performance;
    private final MoveLibrary library;
    private final BufferedImage set = StudioBackdrop.paint(WIDTH, HEIGHT);
    private final List<Level> levels;
    private int cursor;

    private SimulatedCamera(Performance performance, MoveLibrary library) {
        this.performance = performance;
        this.library = library;
        List<Level> given = performance.timeline().sheet().header().levels();
        this.levels = given.isEmpty() ? List.of(new Level("main", Level.Grade.MAIN, Level.Place.CENTRE)) : given;
    }

    /**
     * Films to {@code target}, and from where the recording is stopped on to {@code second}; gives the lines as the voice really said them.
     *
     * @param second where the rest goes when the camera is stopped in between; not written otherwise
     */
    static List<Spoken> film(
            Performance performance, MoveLibrary library, Voice voice, Path target, Path second, Progress progress)
            throws IOException {
        progress.at(0);
        RoomSound sound = new RoomSound(performance, voice, MovieWriter.SOUND_HZ, s -> progress.at(s * VOICE_SHARE));
        SimulatedCamera camera = new SimulatedCamera(performance, library);
        long frames = Math.round(performance.length().seconds() * RATE.perSecond());
        Time<Axis.Take> stop = performance.stoppedAt();
        long stopAt = stop == null ? frames : Math.round(stop.seconds() * RATE.perSecond());
        Progress filmed = s -> progress.at(VOICE_SHARE + s * (1 - VOICE_SHARE));
        camera.film(sound, target, 0, stopAt, s -> filmed.at(s * stopAt / frames));
        if (stopAt < frames) {
            camera.film(sound, second, stopAt, frames, s -> filmed.at((stopAt + s * (frames - stopAt)) / frames));
        }
        return sound.said();
    }

    /** Draws on a thread of its own, a few pictures ahead of the encoder. */
    private void film(RoomSound sound, Path target, long from, long to, Progress progress) throws IOException {
        PictureQueue pictures = new PictureQueue(from, to, AHEAD, WIDTH, HEIGHT, this::draw);
        try (pictures;
                MovieWriter writer = new MovieWriter(
                        target, new MovieFormat(WIDTH, HEIGHT, RATE, EncoderSettings.TAKE, true), "", List.of())) {
            for (long n = from; n < to; n++) {
                BufferedImage picture = pictures.take();
                writer.picture(picture, n - from);
                pictures.giveBack(picture);
                long until = Math.round((n + 1 - from) * MovieWriter.SOUND_HZ / RATE.perSecond());
                int count = (int) (until - writer.soundPosition());
                writer.sound(sound.next(count), 0, count);
                if (n % 15 == 0) {
                    progress.at((n - from) / (double) (to - from));
                }
            }
            writer.finish();
        }
    }

    private void draw(long n, BufferedImage picture) {
        Time<Axis.Take> time = new Time<>(RATE.timeOf(n).micros());
        int[] from = ((DataBufferInt) set.getRaster().getDataBuffer()).getData();
        System.arraycopy(from, 0, ((DataBufferInt) picture.getRaster().getDataBuffer()).getData(), 0, from.length);
        Graphics2D g = picture.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        List<Played> played = performance.played();
        while (cursor + 1 < played.size()
                && !time.isBefore(played.get(cursor + 1).start())) {
            cursor++;
        }
        // Those further back first.
        for (Level level : levels) {
            if (level.place() != Level.Place.CENTRE) {
                presenter(g, played.get(cursor), time, level);
            }
        }
        for (Level level : levels) {
            if (level.place() == Level.Place.CENTRE) {
                presenter(g, played.get(cursor), time, level);
            }
        }
        g.dispose();
    }

    private void presenter(Graphics2D g, Played p, Time<Axis.Take> time, Level level) {
        boolean centre = level.place() == Level.Place.CENTRE;
        double x = WIDTH * (centre ? 0.5 : level.place() == Level.Place.LEFT ? 0.24 : 0.76);
        double floor = HEIGHT * (centre ? 0.925 : 0.868);
        double height = HEIGHT * FIGURE_HEIGHT * (centre ? 1 : SIDE_FIGURE);
        Figure figure = figure(level);
        Segment s = p.segment();
        boolean moves = s.kind().isMoving() && !time.isBefore(p.performedStart()) && time.isBefore(p.performedEnd());
        String name = shownMove(s, level);
        Move move = name == null ? null : library.find(name.split("[+,]")[0]).orElse(null);
        if (!s.kind().isMoving() && s.move() == null) {
            boolean talking = s.kind() == SegmentKind.TALK && speaking(time);
            double sway = 0.5 - 0.5 * Math.cos(2 * Math.PI * time.seconds() / (talking ? 1.9 : 4.2));
            figure.draw(
                    g,
                    new Figure.Stance(Motion.of(talking && centre ? "talk" : "stand"), sway, false, Figure.Prop.NONE),
                    x,
                    floor,
                    height);
            return;
        }
        Motion motion = Motion.of(move == null ? "march" : move.figure());
        double phase = moves || s.kind() == SegmentKind.REST ? phase(p, time) : 0;
        double depth = level.grade() == Level.Grade.EASIER ? 0.55 : 1;
        boolean swapped = s.side() == Side.LEFT || (s.way() == SideWay.ALTERNATE && repIndex(p, time) % 2 == 1);
        figure.draw(g, new Figure.Stance(motion, phase * depth, swapped, prop(move)), x, floor, height);
    }

    private static String shownMove(Segment s, Level level) {
        if (s.line() != null && s.kind().isMoving()) {
            for (LevelLine line : s.line().levels()) {
                if (line.level().equalsIgnoreCase(level.name()) && !line.move().isEmpty()) {
                    return line.move();
                }
            }
        }
        return s.move();
    }

    private static Figure figure(Level level) {
        return switch (level.grade()) {
            case MAIN -> Figure.presenter();
            case EASIER ->
                new Figure(new Color(0x6F8F5A), new Color(0x4C3F52), new Color(0xE0B08C), new Color(0x8C8C86));
            case HARDER ->
                new Figure(new Color(0x8A4B72), new Color(0x33414F), new Color(0x8D5B3E), new Color(0x221A18));
        };
    }

    private static Figure.Prop prop(Move move) {
        if (move == null) {
            return Figure.Prop.NONE;
        }
        return move.gear().contains("kettlebell")
                ? Figure.Prop.KETTLEBELL
                : move.gear().contains("loop band") ? Figure.Prop.BAND : Figure.Prop.NONE;
    }

    private boolean speaking(Time<Axis.Take> time) {
        return performance.spoken().stream()
                .anyMatch(l -> l.caption().start().isBefore(time)
                        && time.isBefore(l.caption().end()));
    }

    public static int repIndex(Played p, Time<Axis.Take> time) {
        return (int) p.reps().stream().filter(r -> !r.isAfter(time)).count();
    }

    /** Where in the rep the mover is: out over the first phase, held, back over the return, held. */
    public static double phase(Played p, Time<Axis.Take> time) {
        int i = repIndex(p, time);
        Time<Axis.Take> from = i == 0 ? p.performedStart() : p.reps().get(i - 1);
        double planned = p.segment().tempo() == null
                ? 1.6
                : p.segment().tempo().repLength().seconds();
        double length = i < p.reps().size() ? p.reps().get(i).since(from).seconds() : planned;
        if (i >= p.reps().size() && p.segment().reps() != null && !p.reps().isEmpty()) {
            return 0;
        }
        double share = time.since(from).seconds() / Math.max(0.1, length);
        share -= Math.floor(share);
        List<Double> tempo = p.segment().tempo() == null
                ? List.of(0.8, 0.0, 0.8)
                : p.segment().tempo().seconds();
        double total = tempo.stream().mapToDouble(d -> d).sum();
        double at = share * total;
        double out = Math.max(0.05, tempo.get(0));
        double back = Math.max(0.05, tempo.get(2));
        if (at < out) {
            return 0.5 - 0.5 * Math.cos(Math.PI * at / out);
        }
        at -= out + tempo.get(1);
        return at <= 0 ? 1 : at < back ? 0.5 + 0.5 * Math.cos(Math.PI * at / back) : 0;
    }
}
