package app.nosegay.review;

import app.nosegay.captions.Caption;
import app.nosegay.cut.Cut;
import app.nosegay.evidence.SpokenStretches;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/** What can be heard to be wrong with the sound of the takes that are used. */
public final class SoundCheck {
    /** Target loudness of a video and of an audio episode, in LUFS (docs/domain.md). */
    public static final double TARGET_VIDEO = -14;

    public static final double TARGET_VOICE_ONLY = -16;
    /** True peak at most, in dBTP. */
    public static final double PEAK_MOST = -1;
    /** More than this under the target, lifting the sound lifts its noise too, in LU. */
    private static final double TOO_QUIET = 16;

    private static final double TOO_LOUD = 4;
    /** A true peak at or over full scale was clipped when it was recorded. */
    private static final double CLIPPED = -0.1;
    /** The voice stands clear of what is heard between its words by this much, in LU. */
    private static final double VOICE_CLEAR = 9;
    /** A noise is this much over the sound around it, in LU … */
    private static final double NOISE_OVER = 14;
    /** … and there are at least this many a minute of it where nobody speaks. */
    private static final double NOISES_A_MINUTE = 12;

    /** Less quiet than this tells nothing of it, in seconds. */
    private static final double LEAST_QUIET = 5;

    private SoundCheck() {}

    /** The findings of every take that is used; none for takes without sound. */
    public static List<Finding> findings(Match match, Cut cut, List<TakeEvidence> takes, boolean voiceOnly) {
        List<Finding> findings = new ArrayList<>();
        double target = voiceOnly ? TARGET_VOICE_ONLY : TARGET_VIDEO;
        for (TakeEvidence take : takes) {
            List<Span<Axis.Take>> used = cut.clips().stream()
                    .filter(c -> c.take().equals(take.id()))
                    .map(Cut.Clip::source)
                    .toList();
            if (used.isEmpty() || take.levels().isEmpty()) {
                continue;
            }
            // Beeps are louder than many a voice: where the words are known, they are what counts.
            double spoken = take.levels().integrated(spoken(take));
            double loudness = spoken > -100 ? spoken : take.levels().integrated(used);
            if (loudness < target - TOO_QUIET) {
                add(findings, "sound.quiet", Severity.FIX, take, loudness, target - loudness, target);
            } else if (loudness > target + TOO_LOUD) {
                add(findings, "sound.loud", Severity.LOOK, take, loudness, loudness - target, target);
            }
            double peak = take.levels().truePeakDb();
            if (peak > CLIPPED) {
                add(findings, "sound.clipping", Severity.FIX, take, peak);
            }
            voice(findings, take, used);
        }
        return findings;
    }

    /** The words are those of the code: the take, then the figures. */
    private static void add(
            List<Finding> findings, String code, Severity severity, TakeEvidence take, Object... figures) {
        Object[] all =
                Stream.concat(Stream.of(take.id()), Arrays.stream(figures)).toArray();
        findings.add(
                Finding.of(code, severity, CoreText.of(code + ".message", all)).withFix(CoreText.of(code + ".fix")));
    }

    /** Voice against what is under it, and noises between the words, both by the transcript. */
    private static void voice(List<Finding> findings, TakeEvidence take, List<Span<Axis.Take>> used) {
        if (take.words().isEmpty()) {
            return;
        }
        List<Span<Axis.Take>> quiet = between(take).stream()
                .filter(b -> used.stream().anyMatch(u -> u.contains(b.start())))
                .toList();
        double voice = take.levels().integrated(spoken(take));
        double under = median(take.levels().momentary(), quiet);
        if (voice > -60 && under > -60 && voice - under < VOICE_CLEAR) {
            add(findings, "sound.voice-under-music", Severity.FIX, take, voice, under);
        }
        noises(findings, take, quiet);
    }

    /** Where nobody speaks, well clear of where somebody does. */
    private static List<Span<Axis.Take>> between(TakeEvidence take) {
        List<Span<Axis.Take>> between = new ArrayList<>();
        Time<Axis.Take> free = Time.zero();
        for (Span<Axis.Take> s : spoken(take)) {
            Time<Axis.Take> from = free.plus(Length.ofMillis(600));
            if (s.start().minus(Length.ofMillis(300)).isAfter(from)) {
                between.add(new Span<>(from, s.start().minus(Length.ofMillis(300))));
            }
            free = Time.max(free, s.end());
        }
        return between;
    }

    /** Where the transcript has words, or without one a voice is heard. */
    private static List<Span<Axis.Take>> spoken(TakeEvidence take) {
        if (take.words().isEmpty()) {
            return SpokenStretches.of(take);
        }
        return take.words().stream()
                .map(c -> new Span<>(c.start(), Time.max(c.start(), last(c))))
                .toList();
    }

    /** When its last word ends: captions often stay up longer. */
    private static Time<Axis.Take> last(Caption c) {
        List<Caption.Word> words = c.words();
        return words.isEmpty() ? c.end() : words.get(words.size() - 1).end();
    }

    private static double median(Trace levels, List<Span<Axis.Take>> stretches) {
        double[] values = stretches.stream()
                .flatMapToDouble(s -> {
                    int from = levels.index(s.start()) + 4;
                    int to = levels.index(s.end());
                    return from >= to
                            ? java.util.stream.DoubleStream.empty()
                            : java.util.stream.IntStream.range(from, to).mapToDouble(i -> levels.values()[i]);
                })
                .sorted()
                .toArray();
        return values.length == 0 ? -100 : values[values.length / 2];
    }

    private static void noises(List<Finding> findings, TakeEvidence take, List<Span<Axis.Take>> quiet) {
        double seconds = quiet.stream().mapToDouble(s -> s.length().seconds()).sum();
        long events = noises(take).stream()
                .filter(n -> quiet.stream().anyMatch(q -> q.contains(n.start())))
                .count();
        if (seconds > LEAST_QUIET && events / seconds * 60 > NOISES_A_MINUTE) {
            add(findings, "sound.noises", Severity.LOOK, take, events / seconds * 60);
        }
    }

    /** Short noises where nobody speaks and no timer beeps: steps, handling. None where nobody can tell when somebody speaks. */
    public static List<Span<Axis.Take>> noises(TakeEvidence take) {
        Trace level = take.loudness();
        if (level.isEmpty() || spoken(take).isEmpty()) {
            return List.of();
        }
        float[] all = level.values().clone();
        Arrays.sort(all);
        double room = all[all.length / 5];
        List<Span<Axis.Take>> noises = new ArrayList<>();
        for (Span<Axis.Take> s : between(take)) {
            int from = -1;
            int end = level.index(s.end());
            for (int i = level.index(s.start()); i <= end; i++) {
                boolean loud = i < end && level.values()[i] > room + NOISE_OVER && !beeps(take, i / level.hz());
                if (loud && from < 0) {
                    from = i;
                } else if (!loud && from >= 0) {
                    noises.add(new Span<>(Time.ofSeconds(from / level.hz()), Time.ofSeconds(i / level.hz())));
                    from = -1;
                }
            }
        }
        return noises;
    }

    private static boolean beeps(TakeEvidence take, double seconds) {
        Time<Axis.Take> at = Time.ofSeconds(seconds);
        return take.beeps().stream()
                .anyMatch(b -> at.since(b.time()).seconds() > -0.1
                        && at.since(b.time()).compareTo(b.length().plus(Length.ofMillis(150))) < 0);
    }
}
