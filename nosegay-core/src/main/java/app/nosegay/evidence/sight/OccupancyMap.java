package app.nosegay.evidence.sight;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.Arrays;

/**
 * Where people are in the picture of one take over a stretch of it: per cell of a grid the share of time somebody is there, and how
 * bright it is. Somebody is where a body was found, and where the picture differs from what that place usually shows.
 *
 * @param presence by row, then column, 0 to 1
 * @param passing the same of the seconds in which somebody is there at least once: where an arm or a head comes through
 * @param grey mean brightness by row, then column, 0 to 255
 * @param reach the share of seconds in which a body that was found touches the cell; nothing where none was looked for
 */
public record OccupancyMap(int columns, int rows, float[] presence, float[] passing, float[] grey, float[] reach) {
    /** The pictures takes are read into are this wide (TakeReader). */
    private static final int COLUMNS = TakeEvidence.Poses.WIDTH;
    /** Bodies are known this many times as finely as pictures. */
    private static final int FINER = 2;
    /** Differs by more than camera noise and flicker, in grey levels. */
    private static final int DIFFERS = 16;
    /** The same of how red it is, which light and noise change less. */
    private static final int TINT_DIFFERS = 10;
    /** Who stands still for most of a take is part of its usual picture: the middle is taken to be somebody's for this share of time. */
    private static final float MIDDLE = 0.35f;
    /** Where the picture changes for this share of the take somebody usually is, also while standing still. */
    private static final double ACTIVE = 0.04;
    /** Where a body is found for this share of a stretch, nobody has to be guessed at. */
    private static final double FOUND = 0.9;
    /** A cell with somebody in it for this share of time is part of them. */
    private static final double SOMEBODY = 0.3;
    /**
     * A cell with somebody in it for this share of time holds the body, and not only an arm now and then; more than what is only likely.
     */
    private static final double MOSTLY = 0.55;
    /** Room left around somebody in a crop, as a share of the width. */
    private static final double AROUND = 0.04;
    /** Bars are of the style's paper, which is bright in most. */
    private static final float BAR = 235;
    /** Frames looked at for what a cell usually shows. */
    private static final int SAMPLES = 240;
    /** An arm is thinner than a cell: what lies next to somebody counts for half. */
    private static final float BESIDE = 0.5f;
    /** Stretches of a take whose maps are kept: every interval of a long workout, in one shape of picture. */
    private static final int KEPT = 300;

    /** Per take the running sums over seconds: a heat of any stretch is a difference. */
    private record Sums(int columns, int rows, double hz, int[][] present, int[][] passing, int[][] grey) {}

    /** The question a take keeps its sums under … */
    private record OfTheTake() {}

    /** … its bodies … */
    private record BodiesOfTheTake() {}

    /** … and the map of a stretch. */
    private record OfStretch(Span<Axis.Take> span) {}

    /** Of pictures alone. */
    public OccupancyMap(int columns, int rows, float[] presence, float[] passing, float[] grey) {
        this(columns, rows, presence, passing, grey, new float[columns * rows]);
    }

    /** Nobody anywhere: for takes without a picture. */
    public static OccupancyMap none() {
        return new OccupancyMap(COLUMNS, 18, new float[COLUMNS * 18], new float[COLUMNS * 18], new float[COLUMNS * 18]);
    }

    /** The heat of {@code span} of a take. */
    public static OccupancyMap of(TakeEvidence take, Span<Axis.Take> span) {
        return take.pose() == null || take.pose().count() < 2
                ? none()
                : take.derived().get(KEPT, new OfStretch(span), () -> map(take, span));
    }

    private static OccupancyMap map(TakeEvidence take, Span<Axis.Take> span) {
        Sums sums = take.derived().get(1, new OfTheTake(), () -> sums(take.pose()));
        int columns = FINER * sums.columns();
        int rows = FINER * sums.rows();
        BodyMasks.Covered bodies = take.derived()
                .get(1, new BodiesOfTheTake(), () -> BodyMasks.of(take.bodies(), columns, rows))
                .over(span.start().seconds(), span.end().seconds());
        OccupancyMap pictures = pictures(sums, span, bodies.found() < FOUND);
        float[] presence = bodies.presence();
        float[] passing = bodies.reach().clone();
        float[] grey = new float[columns * rows];
        for (int y = 0; y < rows; y++) {
            for (int x = 0; x < columns; x++) {
                int c = y * columns + x;
                int coarse = y / FINER * sums.columns() + x / FINER;
                presence[c] = Math.max(presence[c], pictures.presence()[coarse]);
                passing[c] = Math.max(passing[c], pictures.passing()[coarse]);
                grey[c] = pictures.grey()[coarse];
            }
        }
        return new OccupancyMap(columns, rows, presence, passing, grey, bodies.reach());
    }

    /** @param guessing whether somebody may be there who stands still and was not found */
    private static OccupancyMap pictures(Sums sums, Span<Axis.Take> span, boolean guessing) {
        int last = sums.present().length - 1;
        int from = (int) Math.max(0, Math.min(last - 1, Math.floor(span.start().seconds())));
        int to = (int) Math.max(from + 1, Math.min(last, Math.ceil(span.end().seconds())));
        int cells = sums.columns() * sums.rows();
        float[] presence = new float[cells];
        float[] passing = new float[cells];
        float[] grey = new float[cells];
        float frames = (float) ((to - from) * sums.hz());
        double all = last * sums.hz();
        for (int c = 0; c < cells; c++) {
            float there = Math.min(1, (sums.present()[to][c] - sums.present()[from][c]) / frames);
            boolean usual = guessing && sums.present()[last][c] / all > ACTIVE;
            presence[c] = usual ? Math.max(MIDDLE, there) : there;
            passing[c] = (sums.passing()[to][c] - sums.passing()[from][c]) / (float) (to - from);
            grey[c] = (sums.grey()[to][c] - sums.grey()[from][c]) / frames;
        }
        return new OccupancyMap(
                sums.columns(),
                sums.rows(),
                guessing ? spread(presence, sums.columns(), sums.rows()) : presence,
                passing,
                grey);
    }

    private static Sums sums(TakeEvidence.Poses poses) {
        int cells = poses.cells();
        int columns = COLUMNS;
        int rows = cells / columns;
        byte[] usual = usual(poses, poses.grey());
        byte[] tint = poses.tint();
        boolean coloured = tint.length == poses.grey().length;
        byte[] usualTint = coloured ? usual(poses, tint) : null;
        int seconds = (int) Math.ceil(poses.count() / poses.hz());
        int[][] present = new int[seconds + 1][cells];
        int[][] passing = new int[seconds + 1][cells];
        int[][] grey = new int[seconds + 1][cells];
        int frame = 0;
        for (int s = 0; s < seconds; s++) {
            System.arraycopy(present[s], 0, present[s + 1], 0, cells);
            System.arraycopy(grey[s], 0, grey[s + 1], 0, cells);
            int[] before = present[s];
            for (; frame < Math.min(poses.count(), (s + 1) * poses.hz()); frame++) {
                int at = frame * cells;
                for (int c = 0; c < cells; c++) {
                    int value = poses.grey()[at + c] & 255;
                    grey[s + 1][c] += value;
                    boolean differs = Math.abs(value - (usual[c] & 255)) > DIFFERS
                            || coloured && Math.abs((tint[at + c] & 255) - (usualTint[c] & 255)) > TINT_DIFFERS;
                    present[s + 1][c] += differs ? 1 : 0;
                }
            }
            for (int c = 0; c < cells; c++) {
                passing[s + 1][c] = passing[s][c] + (present[s + 1][c] > before[c] ? 1 : 0);
            }
        }
        return new Sums(columns, rows, poses.hz(), present, passing, grey);
    }

    /** The median of each cell over the take. */
    private static byte[] usual(TakeEvidence.Poses poses, byte[] pictures) {
        int cells = poses.cells();
        int n = Math.min(SAMPLES, poses.count());
        byte[] usual = new byte[cells];
        int[] values = new int[n];
        for (int c = 0; c < cells; c++) {
            for (int i = 0; i < n; i++) {
                values[i] = pictures[(int) ((long) i * poses.count() / n) * cells + c] & 255;
            }
            Arrays.sort(values);
            usual[c] = (byte) values[n / 2];
        }
        return usual;
    }

    private static float[] spread(float[] presence, int columns, int rows) {
        float[] spread = new float[presence.length];
        for (int y = 0; y < rows; y++) {
            for (int x = 0; x < columns; x++) {
                float most = Math.max(presence[y * columns + x], BESIDE * around(presence, columns, rows, x, y));
                boolean middle = Math.abs(x - (columns - 1) / 2.0) < columns * 0.11 && y > rows * 0.3;
                spread[y * columns + x] = middle ? Math.max(MIDDLE, most) : most;
            }
        }
        return spread;
    }

    /** The most in the cells around one, itself included. */
    private static float around(float[] presence, int columns, int rows, int x, int y) {
        float most = 0;
        for (int ny = Math.max(0, y - 1); ny <= Math.min(rows - 1, y + 1); ny++) {
            for (int nx = Math.max(0, x - 1); nx <= Math.min(columns - 1, x + 1); nx++) {
                most = Math.max(most, presence[ny * columns + nx]);
            }
        }
        return most;
    }

    /** The part of it that stays when a picture of 16 : 9 is cropped to {@code frame}; nobody is in the bars above and below. */
    public OccupancyMap cropped(Frame frame) {
        double share = frame.kept();
        if (frame.focus() == null || share >= 1 && frame.filled() >= frame.height()) {
            return this;
        }
        int left = (int) Math.round(Math.max(0, Math.min(1 - share, frame.focus() - share / 2)) * columns);
        int kept = Math.max(1, (int) Math.round(share * columns));
        int high = Math.max(rows, (int) Math.round(rows * frame.height() / frame.filled()));
        int above = (high - rows) / 2;
        float[] some = new float[kept * high];
        float[] through = new float[kept * high];
        float[] bright = new float[kept * high];
        float[] touched = new float[kept * high];
        Arrays.fill(bright, BAR);
        for (int y = 0; y < rows; y++) {
            for (int x = 0; x < kept; x++) {
                int from = y * columns + Math.min(columns - 1, left + x);
                int to = (above + y) * kept + x;
                some[to] = presence[from];
                through[to] = passing[from];
                bright[to] = grey[from];
                touched[to] = reach[from];
            }
        }
        return new OccupancyMap(kept, high, some, through, bright, touched);
    }

    /**
     * The share of the width, about {@code focus}, in which whoever is in the middle is seen whole; 0 where nobody is. Others beside a
     * gap do not count.
     */
    public double extent(double focus) {
        double centre = centre();
        int at = (int) Math.min(columns - 1, Math.floor(centre * columns));
        int from = last(at, -1);
        int to = last(at, 1);
        return from > to
                ? 0
                : Math.min(1, 2 * Math.max(focus - from / (double) columns, (to + 1.0) / columns - focus) + AROUND);
    }

    /** The last column towards {@code step} with somebody in it; one as wide as those of pictures may lie between without. */
    private int last(int at, int step) {
        int last = step > 0 ? -1 : columns;
        int missing = 0;
        for (int x = at; x >= 0 && x < columns && missing <= Math.max(1, columns / COLUMNS); x += step) {
            if (isIn(x)) {
                last = x;
                missing = 0;
            } else {
                missing++;
            }
        }
        return last;
    }

    private boolean isIn(int column) {
        for (int y = 0; y < rows; y++) {
            if (presence[y * columns + column] >= MOSTLY) {
                return true;
            }
        }
        return false;
    }

    /** The mean share of time somebody is behind {@code box}. */
    public double behind(Box box, Frame frame) {
        return mean(presence, box, frame);
    }

    /** The mean share of seconds in which somebody comes through behind {@code box}. */
    public double passing(Box box, Frame frame) {
        return mean(passing, box, frame);
    }

    /** The share of {@code box} that bodies touch, each cell for the share of seconds it is touched. */
    public double touched(Box box, Frame frame) {
        return mean(reach, box, frame);
    }

    private double mean(float[] cells, Box box, Frame frame) {
        double sum = 0;
        int n = 0;
        for (int y = row(box.y(), frame); y <= row(box.bottom() - 1, frame); y++) {
            for (int x = column(box.x(), frame); x <= column(box.right() - 1, frame); x++) {
                sum += cells[y * columns + x];
                n++;
            }
        }
        return n == 0 ? 0 : sum / n;
    }

    /** The share of the columns behind {@code box} in which it lies over the uppermost part of somebody: where heads are. */
    public double heads(Box box, Frame frame) {
        int top = row(box.y(), frame);
        int bottom = row(box.bottom() - 1, frame);
        int over = 0;
        int n = 0;
        for (int x = column(box.x(), frame); x <= column(box.right() - 1, frame); x++) {
            int y = 0;
            while (y < rows && Math.max(presence[y * columns + x], passing[y * columns + x]) < SOMEBODY) {
                y++;
            }
            over += y < rows && y >= top && y <= bottom ? 1 : 0;
            n++;
        }
        return n == 0 ? 0 : over / (double) n;
    }

    /** The darkest and the brightest mean brightness behind {@code box}. */
    public double[] brightness(Box box, Frame frame) {
        double darkest = 255;
        double brightest = 0;
        for (int y = row(box.y(), frame); y <= row(box.bottom() - 1, frame); y++) {
            for (int x = column(box.x(), frame); x <= column(box.right() - 1, frame); x++) {
                darkest = Math.min(darkest, grey[y * columns + x]);
                brightest = Math.max(brightest, grey[y * columns + x]);
            }
        }
        return new double[] {darkest, brightest};
    }

    private int row(double y, Frame frame) {
        return (int) Math.max(0, Math.min(rows - 1, Math.floor(y / frame.height() * rows)));
    }

    private int column(double x, Frame frame) {
        return (int) Math.max(0, Math.min(columns - 1, Math.floor(x / frame.width() * columns)));
    }

    /** The column in which somebody is most of the time, as a share of the width; the middle where nobody is seen. */
    public double centre() {
        double sum = 0;
        double weight = 0;
        for (int y = 0; y < rows; y++) {
            for (int x = 0; x < columns; x++) {
                sum += presence[y * columns + x] * (x + 0.5) / columns;
                weight += presence[y * columns + x];
            }
        }
        return weight == 0 ? 0.5 : sum / weight;
    }
}
