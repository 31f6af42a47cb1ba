package app.nosegay.evidence.sound;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Hears signals of several tones at once: chimes, bells, gongs, buzzers, two keys of a telephone. Each of their partials keeps its pitch
 * from beginning to end, which no partial of a voice does for long, and for a moment nearly all that is heard is such partials (peak
 * tracking after McAulay and Quatieri 1986). Where a voice covers the signal later on, it is known again by its pitches.
 */
final class ChimeListener {
    private static final int WINDOW = 1024;
    /** Frames a second. */
    private static final int FRAMES = 50;

    private static final double FROM_HZ = 180;
    private static final double TO_HZ = 5200;
    /** Partials followed at a time. */
    private static final int PARTIALS = 8;
    /** Weaker than this share of the strongest one's power a partial tells nothing. */
    private static final double LEAST_SHARE = 0.004;
    /** From one frame to the next a partial stays this near, in hertz. */
    private static final double NEAR_HZ = 4;
    /** All through it stays this near its middle: in hertz, or as a share of its pitch where that is more. */
    private static final double STEADY_HZ = 0.7;

    private static final double STEADY_SHARE = 0.0012;
    /** A partial lasts at least so many frames; a vowel does not keep its pitch for as long. */
    private static final int LEAST_FRAMES = 6;
    /** Longer than this, in frames, it is a hum or music. */
    private static final int MOST_FRAMES = 4 * FRAMES;
    /** What does not lie in steady partials is voice: they hold at least this share of the power … */
    private static final double CLEAR_SHARE = 0.8;
    /** … for as many frames. */
    private static final int CLEAR_FRAMES = 5;
    /** Under this amplitude it is not meant to be heard. */
    private static final double LEAST_AMPLITUDE = 0.006;
    /** Partials that begin this near each other are one sound, in frames. */
    private static final int TOGETHER = 4;
    /** A pitch is known again within this share. */
    private static final double SAME_PITCH = 0.004;
    /** A pitch as another listener reads it, whose window is shorter, lies within this share: notes beside it draw it aside. */
    private static final double NEAR_PITCH = 0.03;

    /** A signal is there within so many frames of its beginning; music may swell. */
    private static final int SHARP_FRAMES = 4;
    /** So many clear ones of the same pitches make a signal, which is then known under a voice, too. */
    private static final int LEAST_CLEAR = 3;
    /** … and not much weaker than those: music has the same pitches now and then. */
    private static final double AS_STRONG = 0.4;

    /** What begins within so many seconds behind a signal and has less than this share of its amplitude is its end. */
    private static final double RINGS_ON = 2;

    private static final double WEAKER = 0.6;
    /** Signals that follow each other within so many seconds … */
    private static final double MUSIC_GAP = 8;
    /** … for longer than this are music: a countdown and a short change of side are over by then. */
    private static final double LONGEST_COUNTDOWN = 16;

    private final int sampleRate;
    private final int hop;
    private final Spectra spectra;
    private final List<Partial> sounding = new ArrayList<>();
    private final List<Partial> steady = new ArrayList<>();
    private final List<Float> totals = new ArrayList<>();

    /** One chime: its onset and length in seconds, the pitch of its strongest partial and its amplitude, and the pitches of all. */
    record Heard(double seconds, double length, double hz, double amplitude, List<Double> pitches) {
        double end() {
            return seconds + length;
        }

        /** Whether it is a chord in which this pitch sounds. */
        boolean isChordWith(double hz) {
            return pitches.size() > 1 && pitches.stream().anyMatch(p -> Math.abs(p - hz) < NEAR_PITCH * hz);
        }
    }

    /** A partial while it lasts. */
    private static final class Partial {
        final int first;
        int last;
        final List<Double> hz = new ArrayList<>();
        final List<Double> power = new ArrayList<>();

        Partial(int first) {
            this.first = first;
        }

        void add(int frame, double pitch, double strength) {
            last = frame;
            hz.add(pitch);
            power.add(strength);
        }

        double pitch() {
            return BeepListener.median(hz);
        }

        double strongest() {
            return power.stream().mapToDouble(Double::doubleValue).max().orElse(0);
        }

        boolean isSteady() {
            double spread = BeepListener.spread(hz);
            return hz.size() >= LEAST_FRAMES
                    && hz.size() <= MOST_FRAMES
                    && spread <= Math.max(STEADY_HZ, STEADY_SHARE * pitch());
        }
    }

    ChimeListener(int sampleRate) {
        this.sampleRate = sampleRate;
        hop = sampleRate / FRAMES;
        spectra = new Spectra(WINDOW, hop, this::analyse);
    }

    /** Takes the next {@code count} samples, mono, −1 to 1. */
    void listen(float[] samples, int count) {
        spectra.listen(samples, count);
    }

    private void analyse(float[] spectrum) {
        int low = (int) (FROM_HZ * WINDOW / sampleRate);
        int high = (int) Math.min(WINDOW / 2.0 - 2, TO_HZ * WINDOW / sampleRate);
        double[] powers = new double[high + 2];
        double all = 0;
        for (int b = low - 1; b <= high + 1; b++) {
            powers[b] = (double) spectrum[2 * b] * spectrum[2 * b] + (double) spectrum[2 * b + 1] * spectrum[2 * b + 1];
            all += powers[b];
        }
        int frame = totals.size();
        totals.add((float) all);
        List<Integer> peaks = new ArrayList<>();
        double most = 0;
        for (int b = low; b <= high; b++) {
            if (powers[b] > powers[b - 1] && powers[b] >= powers[b + 1]) {
                peaks.add(b);
                most = Math.max(most, powers[b]);
            }
        }
        double least = Math.max(LEAST_SHARE * most, 1e-9);
        peaks.removeIf(b -> powers[b] < least);
        peaks.sort(Comparator.comparingDouble(b -> -powers[b]));
        peaks.stream().limit(PARTIALS).forEach(b -> follow(frame, powers, b));
        sounding.removeIf(p -> {
            boolean over = frame > p.last + 1;
            if (over && p.isSteady()) {
                steady.add(p);
            }
            return over;
        });
    }

    private void follow(int frame, double[] powers, int peak) {
        double hz = BeepListener.peak(powers, peak) * sampleRate / WINDOW;
        // The peak of a Hann-windowed sine and the two bins on either side hold nearly all its power.
        double own = 0;
        for (int b = Math.max(0, peak - 2); b <= Math.min(powers.length - 1, peak + 2); b++) {
            own += powers[b];
        }
        Partial nearest = null;
        for (Partial p : sounding) {
            double off = Math.abs(p.hz.get(p.hz.size() - 1) - hz);
            boolean taken = p.last == frame;
            if (!taken && off < NEAR_HZ && (nearest == null || off < Math.abs(last(nearest) - hz))) {
                nearest = p;
            }
        }
        if (nearest == null) {
            nearest = new Partial(frame);
            sounding.add(nearest);
        }
        nearest.add(frame, hz, own);
    }

    private static double last(Partial p) {
        return p.hz.get(p.hz.size() - 1);
    }

    /** The chimes heard, in order; call once, after the last sample. */
    List<Heard> heard() {
        sounding.stream().filter(Partial::isSteady).forEach(steady::add);
        sounding.clear();
        steady.sort(Comparator.comparingInt(p -> p.first));
        List<List<Partial>> sounds = together();
        double[] share = new double[totals.size()];
        for (Partial p : steady) {
            for (int i = 0; i < p.power.size(); i++) {
                int frame = Math.min(share.length - 1, p.first + i);
                share[frame] += p.power.get(i) / Math.max(1e-12, totals.get(frame));
            }
        }
        List<List<Partial>> clear = sounds.stream()
                .filter(s -> isClear(s, share) && heard(s) != null)
                .toList();
        clear = TimerToneFilter.of(clear, totals.size() / (60.0 * FRAMES), ChimeListener::strongest);
        if (clear.size() < LEAST_CLEAR) {
            return List.of();
        }
        List<Heard> heard = new ArrayList<>();
        for (List<Partial> sound : sounds) {
            Heard next = heard(sound);
            boolean signal = next != null && next.amplitude() > LEAST_AMPLITUDE && isKnown(sound, clear);
            if (signal && (heard.isEmpty() || !ringsOn(heard.get(heard.size() - 1), next))) {
                heard.add(next);
            }
        }
        return withoutMusic(heard);
    }

    /** The signals without those that go on and on: no countdown is as long, and chords of music are. */
    private static List<Heard> withoutMusic(List<Heard> heard) {
        List<Heard> signals = new ArrayList<>();
        List<Heard> run = new ArrayList<>();
        for (Heard h : heard) {
            if (!run.isEmpty() && h.seconds() - run.get(run.size() - 1).seconds() > MUSIC_GAP) {
                signals.addAll(isMusic(run) ? List.of() : run);
                run.clear();
            }
            run.add(h);
        }
        signals.addAll(isMusic(run) ? List.of() : run);
        return signals;
    }

    private static boolean isMusic(List<Heard> run) {
        return !run.isEmpty() && run.get(run.size() - 1).seconds() - run.get(0).seconds() > LONGEST_COUNTDOWN;
    }

    /** Whether a sound is what is left of the one before it when a word in between is over: a gong rings on for long. */
    private static boolean ringsOn(Heard before, Heard next) {
        return next.seconds() - before.seconds() < RINGS_ON && next.amplitude() < WEAKER * before.amplitude();
    }

    /** Steady partials that begin at the same time. */
    private List<List<Partial>> together() {
        List<List<Partial>> sounds = new ArrayList<>();
        for (Partial p : steady) {
            List<Partial> open = sounds.isEmpty() ? null : sounds.get(sounds.size() - 1);
            if (open == null || p.first - open.get(0).first > TOGETHER) {
                open = new ArrayList<>();
                sounds.add(open);
            }
            open.add(p);
        }
        return sounds;
    }

    private static boolean isClear(List<Partial> sound, double[] share) {
        int clear = 0;
        int from = sound.get(0).first;
        for (int f = from; f < Math.min(share.length, from + 2 * CLEAR_FRAMES); f++) {
            clear += share[f] >= CLEAR_SHARE ? 1 : 0;
        }
        return clear >= CLEAR_FRAMES;
    }

    /** Whether a sound has the pitches of several clear ones: a timer sounds the same every time, and no two vowels do. */
    private static boolean isKnown(List<Partial> sound, List<List<Partial>> clear) {
        long alike = clear.stream()
                .filter(c -> sound.stream().filter(p -> has(c, p.pitch())).count() >= Math.min(2, c.size())
                        && strongest(sound) >= AS_STRONG * strongest(c))
                .count();
        return alike >= LEAST_CLEAR;
    }

    /** The amplitude of its strongest partial, in no particular unit. */
    private static double strongest(List<Partial> sound) {
        return Math.sqrt(sound.stream().mapToDouble(Partial::strongest).max().orElse(0));
    }

    private static boolean has(List<Partial> sound, double hz) {
        return sound.stream().anyMatch(p -> Math.abs(p.pitch() - hz) < SAME_PITCH * hz);
    }

    /**
     * What is heard of a sound, its onset where the strongest partial reaches half its amplitude; null where it swells instead of
     * beginning.
     */
    private Heard heard(List<Partial> sound) {
        Partial main = sound.stream()
                .max(Comparator.comparingDouble(Partial::strongest))
                .orElseThrow();
        double half = 0.25 * main.strongest();
        int at = 0;
        while (at < main.power.size() - 1 && main.power.get(at) < half) {
            at++;
        }
        if (at > SHARP_FRAMES) {
            return null;
        }
        double here = Math.sqrt(main.power.get(at));
        double before = at > 0 ? Math.sqrt(main.power.get(at - 1)) : 0;
        double part = Math.max(0, Math.min(1, (Math.sqrt(half) - before) / Math.max(1e-12, here - before)));
        double onset = ((main.first + at - 1 + part) * hop + WINDOW / 2.0) / sampleRate;
        double length = (main.last - main.first + 1) / (double) FRAMES;
        // The power of a Hann-windowed sine of amplitude a adds up to 1.5 (a · N / 4)².
        double amplitude = Math.sqrt(main.strongest() / 1.5) * 4 / WINDOW;
        List<Double> pitches = sound.stream().map(Partial::pitch).toList();
        return new Heard(Math.max(0, onset), length, main.pitch(), amplitude, pitches);
    }
}
