package app.nosegay.evidence.sound;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Hears the onsets of steady tones, as any interval timer makes them, over voice and room: one spectral line that stands far above all
 * others and stays where it is. Onsets are placed where the line reaches half its steady strength.
 */
public final class BeepListener {
    private static final int WINDOW = 512;
    /** The timers of phones and clocks beep in this band, in hertz. */
    private static final double LOW_HZ = 480;

    private static final double HIGH_HZ = 5200;
    /** The line against the next strongest one, in power: voices have several strong lines. */
    private static final double ABOVE_OTHERS = 7;
    /** The line's share of the power of the whole band. */
    private static final double SHARE = 0.35;
    /** Under this amplitude it is not meant to be heard. */
    private static final double LEAST_AMPLITUDE = 0.004;
    /** Shorter is a click, longer is music or a hum, in seconds. */
    private static final double SHORTEST = 0.045;

    private static final double LONGEST = 2.5;
    /** Where voices have their first partials, below this many hertz, … */
    private static final double VOICED_HZ = 700;
    /** … a beep lasts at least as long, in seconds. */
    private static final double SHORTEST_VOICED = 0.09;

    /** A voice never holds its pitch like a timer does: the spread of a tone's frequency, in hertz. */
    private static final double STEADY_HZ = 1.5;
    /** A tone that is drowned by a voice goes on while its own bin keeps this share of its strength. */
    private static final double STILL_THERE = 0.5;
    /** It is followed that long under a voice, in frames: no beep lasts longer than half a second behind its last clear moment. */
    private static final int DROWNED_FRAMES = 50;
    /** Fewer clear frames tell nothing of its frequency. */
    private static final int LEAST_CLEAR = 4;

    /** Two pitches this near each other, as a share, are one note. */
    private static final double SAME_NOTE = 0.02;

    /** A note heard again within this long, in seconds … */
    private static final double RINGS_ON = 0.3;
    /** … and this much weaker is the end of a bell; a timer beeps twice alike. */
    private static final double WEAKER_DB = 3;

    private static final double NO_ONSET = -1;
    /** Frames after which a tone that is neither heard nor drowned has ended. */
    private static final int GONE_FRAMES = 2;

    /** A steady tone and a whistle this near each other are one sound, in seconds. */
    private static final double ONE_SOUND = 0.1;

    private final int sampleRate;
    private final int hop;
    private final Spectra spectra;
    private final List<TakeEvidence.Beep> beeps = new ArrayList<>();
    /** The spectra of the last frames, newest at {@code frame % size}. */
    private final double[][] recent = new double[DROWNED_FRAMES + 4][WINDOW / 2];

    private final WhistleListener whistles;
    private final ChimeListener chimes;
    private final List<Line> lines = new ArrayList<>();
    private long frame;

    /** A tone while it lasts. */
    private static final class Line {
        int bin;
        long firstFrame;
        /** When it last stood above all else. */
        long clearFrame;
        /** When it was last there at all, clear or drowned. */
        long lastFrame;

        /** Amplitudes of its clear frames. */
        final List<Double> clear = new ArrayList<>();

        /** Where it began, in seconds; found while its beginning is still remembered. */
        double onset = Double.NaN;

        final List<Double> hz = new ArrayList<>();
    }

    public BeepListener(int sampleRate) {
        this.sampleRate = sampleRate;
        this.hop = sampleRate / 100;
        this.whistles = new WhistleListener(WINDOW, hop, sampleRate);
        this.chimes = new ChimeListener(sampleRate);
        spectra = new Spectra(WINDOW, hop, this::analyse);
    }

    /** Takes the next {@code count} samples, mono, −1 to 1. */
    public void listen(float[] samples, int count) {
        chimes.listen(samples, count);
        spectra.listen(samples, count);
    }

    /** The beeps heard, in order, without the notes of music; call once, after the last sample. */
    public List<TakeEvidence.Beep> heard() {
        lines.forEach(this::close);
        lines.clear();
        for (WhistleListener.Heard w : whistles.heard()) {
            double onset = (w.frame() * hop + WINDOW / 2.0) / sampleRate;
            if (beeps.stream().noneMatch(b -> Math.abs(b.time().seconds() - onset) < ONE_SOUND)) {
                beeps.add(new TakeEvidence.Beep(
                        Time.ofSeconds(onset), Length.ofSeconds(w.seconds()), w.hz(), 20 * Math.log10(w.amplitude())));
            }
        }
        for (ChimeListener.Heard c : chimes.heard()) {
            beeps.removeIf(b -> isPartOf(c, b));
            if (beeps.stream().noneMatch(b -> isDuring(c, b))) {
                beeps.add(new TakeEvidence.Beep(
                        Time.ofSeconds(c.seconds()),
                        Length.ofSeconds(c.length()),
                        c.hz(),
                        20 * Math.log10(c.amplitude())));
            }
        }
        beeps.sort(Comparator.comparing(TakeEvidence.Beep::time));
        List<TakeEvidence.Beep> once = new ArrayList<>();
        for (TakeEvidence.Beep beep : beeps) {
            if (once.stream().noneMatch(b -> ringsOn(b, beep))) {
                once.add(beep);
            }
        }
        double minutes = (double) frame * hop / sampleRate / 60;
        return TimerToneFilter.of(once, minutes, b -> Math.pow(10, b.db() / 20));
    }

    /** Whether a beep is one tone of a chord, heard where it stood out for a moment; tones near each other beat, and do so late. */
    private static boolean isPartOf(ChimeListener.Heard chord, TakeEvidence.Beep beep) {
        double at = beep.time().seconds();
        return at > chord.seconds() - ONE_SOUND && at < chord.end() && chord.isChordWith(beep.hz());
    }

    /** Whether a chime is what was heard as a beep, or as what is left of one. */
    private static boolean isDuring(ChimeListener.Heard chime, TakeEvidence.Beep beep) {
        double off = chime.seconds() - beep.time().seconds();
        return off > -ONE_SOUND && off < beep.length().seconds() + ONE_SOUND;
    }

    /** Whether {@code later} is what is left of {@code earlier}: the same note before that one has ended, or weaker soon after. */
    private static boolean ringsOn(TakeEvidence.Beep earlier, TakeEvidence.Beep later) {
        double gap = later.time().since(earlier.time().plus(earlier.length())).seconds();
        boolean weaker = later.db() < earlier.db() - WEAKER_DB;
        boolean soon = gap < 0 || gap < RINGS_ON && weaker;
        return soon && Math.abs(earlier.hz() - later.hz()) < SAME_NOTE * earlier.hz();
    }

    private void analyse(float[] spectrum) {
        whistles.frame(spectrum, frame);
        double[] powers = recent[(int) (frame % recent.length)];
        int low = (int) (LOW_HZ * WINDOW / sampleRate);
        int high = (int) Math.min(WINDOW / 2 - 2, HIGH_HZ * WINDOW / sampleRate);
        double all = 1e-12;
        int peak = low;
        for (int b = low - 6; b <= high; b++) {
            powers[b] = (double) spectrum[2 * b] * spectrum[2 * b] + (double) spectrum[2 * b + 1] * spectrum[2 * b + 1];
            all += powers[b];
            peak = b >= low && powers[b] > powers[peak] ? b : peak;
        }
        double own = 0;
        double other = 1e-12;
        for (int b = low - 6; b <= high; b++) {
            if (Math.abs(b - peak) <= 2) {
                own += powers[b];
            } else if (Math.abs(b - peak) > 3) {
                other = Math.max(other, powers[b]);
            }
        }
        boolean tonal =
                amplitude(powers, peak) > LEAST_AMPLITUDE && powers[peak] > ABOVE_OTHERS * other && own > SHARE * all;
        if (tonal) {
            clear(powers, peak);
        }
        lines.removeIf(line -> ends(line, powers));
        frame++;
    }

    /** A Hann-windowed sine of amplitude a peaks at power (a · N / 4)². */
    private static double amplitude(double[] powers, int bin) {
        return Math.sqrt(powers[bin]) * 4 / WINDOW;
    }

    /** Where a peak lies between bins, by the parabola through its logarithms (Smith and Serra 1987). */
    static double peak(double[] powers, int peak) {
        double left = Math.log(powers[peak - 1] + 1e-20);
        double middle = Math.log(powers[peak] + 1e-20);
        double right = Math.log(powers[peak + 1] + 1e-20);
        double bend = left - 2 * middle + right;
        return peak + (bend == 0 ? 0 : 0.5 * (left - right) / bend);
    }

    /** A frame in which one line stands above all others: of a tone that lasts already, or the first of one. */
    private void clear(double[] powers, int peak) {
        Line line = lines.stream()
                .filter(l -> Math.abs(l.bin - peak) <= 1)
                .findFirst()
                .orElse(null);
        if (line == null) {
            line = new Line();
            line.bin = peak;
            line.firstFrame = frame;
            lines.add(line);
        }
        line.clearFrame = frame;
        line.lastFrame = frame;
        line.clear.add(amplitude(powers, peak));
        line.hz.add(peak(powers, peak) * sampleRate / WINDOW);
        if (line.hz.size() == LEAST_CLEAR + 2) {
            line.onset = onsetSeconds(line);
        }
    }

    /** Whether a line has ended; it is kept as a beep if it was one. */
    private boolean ends(Line line, double[] powers) {
        if (line.clearFrame != frame && amplitude(powers, line.bin) >= STILL_THERE * median(line.clear)) {
            line.lastFrame = frame;
        }
        boolean over = frame - line.lastFrame > GONE_FRAMES || frame - line.clearFrame > DROWNED_FRAMES;
        if (over) {
            close(line);
        }
        return over;
    }

    private void close(Line line) {
        double clear = (line.clearFrame - line.firstFrame + 1) * hop / (double) sampleRate;
        if (line.hz.size() < LEAST_CLEAR) {
            return;
        }
        double shortest = median(line.hz) < VOICED_HZ ? SHORTEST_VOICED : SHORTEST;
        if (clear < shortest || clear > LONGEST || spread(line.hz) > STEADY_HZ) {
            return;
        }
        double onset = Double.isNaN(line.onset) ? onsetSeconds(line) : line.onset;
        if (onset < 0) {
            return;
        }
        double end = (line.clearFrame * hop + WINDOW / 2.0) / sampleRate;
        beeps.add(new TakeEvidence.Beep(
                Time.ofSeconds(onset),
                Length.ofSeconds(Math.max(clear, end - onset)),
                median(line.hz),
                20 * Math.log10(median(line.clear))));
    }

    /** The spread of a tone's frequency: 1.4826 × the median distance from the median, which a few drowned frames do not change. */
    static double spread(List<Double> hz) {
        double middle = median(hz);
        return 1.4826 * median(hz.stream().map(h -> Math.abs(h - middle)).toList());
    }

    static double median(List<Double> values) {
        double[] sorted =
                values.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        return sorted[sorted.length / 2];
    }

    /**
     * Where the line crosses half its steady strength: a window centred on the onset holds half of it. A voice may have drowned its
     * beginning, so it is followed back in its own bin. {@link #NO_ONSET} where it was there as far back as is remembered: what is left
     * of a bell when its other notes have died away begins nowhere.
     */
    private double onsetSeconds(Line line) {
        double half = 0.5 * median(line.clear);
        long oldest = Math.max(0, frame - recent.length + 1);
        long at = line.firstFrame;
        while (at > oldest && at < frame && amplitude(recent[(int) (at % recent.length)], line.bin) < half) {
            at++;
        }
        while (at - 1 > oldest && amplitude(recent[(int) ((at - 1) % recent.length)], line.bin) >= half) {
            at--;
        }
        if (at <= oldest && oldest > 0) {
            return NO_ONSET;
        }
        if (at <= oldest) {
            return (line.firstFrame * hop + WINDOW / 2.0) / sampleRate;
        }
        double here = amplitude(recent[(int) (at % recent.length)], line.bin);
        double before = amplitude(recent[(int) ((at - 1) % recent.length)], line.bin);
        double part = here > before ? Math.max(0, Math.min(1, (half - before) / (here - before))) : 1;
        return ((at - 1 + part) * hop + WINDOW / 2.0) / sampleRate;
    }
}
