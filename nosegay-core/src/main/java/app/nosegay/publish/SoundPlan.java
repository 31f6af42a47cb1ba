package app.nosegay.publish;

import app.nosegay.cut.Cut;
import app.nosegay.cut.MatchNotes;
import app.nosegay.dress.DressNotes;
import app.nosegay.evidence.SpokenStretches;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Timeline;
import app.nosegay.review.RecordedVoice;
import app.nosegay.review.SoundCheck;
import app.nosegay.review.VoiceOver;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What is done to the sound of the finished programme.
 *
 * @param gainDb per take, what brings it to the target loudness
 * @param ceilingDb no sample is louder than this, in dBFS
 * @param tones beeps to mix in where the room had none
 * @param music path of a music file, or empty
 * @param musicLufs how loud the music is where nobody speaks
 * @param duckDb how much lower it is under speech, in decibels, below 0
 * @param speech when somebody speaks
 * @param overs lines said again, in place of what was said
 * @param hushed noises to be turned down
 * @param muted when nothing of the takes is to be heard
 * @param downbeat when a beat of the music is wanted; null where any will do
 */
public record SoundPlan(
        Map<String, Double> gainDb,
        double ceilingDb,
        List<Tone> tones,
        String music,
        double musicLufs,
        double duckDb,
        List<Span<Axis.Cut>> speech,
        List<Over> overs,
        List<Span<Axis.Cut>> hushed,
        List<Span<Axis.Cut>> muted,
        Time<Axis.Cut> downbeat) {
    /** Sample peaks this far below the true-peak limit leave room for what lies between samples. */
    private static final double BETWEEN_SAMPLES = 0.5;
    /** Nothing is to be heard, in decibels. */
    private static final double SILENT = -100;

    /** Lifting by more lifts the room's noise into hearing. */
    private static final double MOST_GAIN = 20;
    /** Under speech the music steps back by this much. */
    private static final double DUCK = -8;

    private static final int COUNTED = 3;

    public SoundPlan {
        gainDb = Map.copyOf(gainDb);
        tones = List.copyOf(tones);
        speech = List.copyOf(speech);
        overs = List.copyOf(overs);
        hushed = List.copyOf(hushed);
        muted = List.copyOf(muted);
    }

    /** Leaves the sound as it was recorded. */
    public static final SoundPlan AS_RECORDED =
            new SoundPlan(Map.of(), 0, List.of(), "", SILENT, 0, List.of(), List.of(), List.of(), List.of(), null);

    /** A beep of the timer. */
    public record Tone(Time<Axis.Cut> time, double hz, Length length) {}

    /**
     * A line of another take in place of the programme's own sound.
     *
     * @param source when it is said in that take
     * @param mutes whether the programme's own sound is silent meanwhile
     */
    public record Over(Span<Axis.Cut> at, String take, Span<Axis.Take> source, boolean mutes) {}

    /** The plan that {@code sound} asks for. */
    public static SoundPlan of(
            Timeline timeline,
            Match match,
            Cut cut,
            List<TakeEvidence> takes,
            List<VoiceOver> lines,
            DressNotes.Sound sound) {
        List<Over> overs = new ArrayList<>();
        lines.forEach(o -> o.in(cut)
                .ifPresent(at -> overs.add(new Over(
                        at,
                        o.take(),
                        o.source(),
                        o.misstatement().span().length().isPositive()))));
        boolean voiceOnly = timeline.sheet().header().voiceOnly();
        double target = voiceOnly ? SoundCheck.TARGET_VOICE_ONLY : SoundCheck.TARGET_VIDEO;
        boolean afterwards = timeline.sheet().header().voiceAfterwards();
        List<TakeEvidence> filmed = RecordedVoice.filmed(timeline, takes);
        Map<String, Double> gains = new HashMap<>();
        boolean beeped = false;
        List<Span<Axis.Cut>> speech = overs.stream().map(Over::at).collect(Collectors.toCollection(ArrayList::new));
        List<Span<Axis.Cut>> hushed = new ArrayList<>();
        for (TakeEvidence take : takes) {
            List<Span<Axis.Take>> used = used(take, cut, overs);
            // Under a voice recorded afterwards the room stays as soft as it was.
            boolean room = afterwards && filmed.contains(take);
            if (sound.levelled() && !room) {
                gain(take, used, target).ifPresent(gain -> gains.put(take.id(), gain));
            }
            beeped |= !used.isEmpty()
                    && take.beeps().size() > timeline.intervals().size() / 2;
            if (sound.fadesNoises()) {
                SoundCheck.noises(take).forEach(n -> cut.toCut(take.id(), n.start())
                        .ifPresent(at -> hushed.add(new Span<>(at, at.plus(n.length())))));
            }
            for (Span<Axis.Take> s : spoken(take)) {
                cut.toCut(take.id(), s.start()).ifPresent(f -> speech.add(new Span<>(f, f.plus(s.length()))));
            }
        }
        List<Tone> tones = sound.timerSounds() && !beeped ? tones(timeline, match, cut) : List.of();
        return new SoundPlan(
                gains,
                sound.levelled() ? SoundCheck.PEAK_MOST - BETWEEN_SAMPLES : 0,
                tones,
                sound.music(),
                target + sound.musicDb(),
                DUCK,
                speech,
                overs,
                hushed,
                List.of(),
                sound.onBeat() ? firstMove(timeline, match, cut) : null);
    }

    /** With these stretches of the takes not to be heard, as far as they are in the cut. */
    public SoundPlan muting(List<MatchNotes.Mute> mutes, Cut cut) {
        List<Span<Axis.Cut>> silent = new ArrayList<>();
        for (MatchNotes.Mute mute : mutes) {
            for (Cut.Clip clip : cut.clips()) {
                if (clip.take().equals(mute.take())) {
                    clip.source().overlap(mute.span()).ifPresent(part -> cut.toCut(mute.take(), part.start())
                            .ifPresent(from -> silent.add(new Span<>(from, from.plus(part.length())))));
                }
            }
        }
        return new SoundPlan(
                gainDb, ceilingDb, tones, music, musicLufs, duckDb, speech, overs, hushed, silent, downbeat);
    }

    /** What of a take is heard. */
    private static List<Span<Axis.Take>> used(TakeEvidence take, Cut cut, List<Over> overs) {
        return Stream.concat(
                        cut.clips().stream()
                                .filter(c -> c.take().equals(take.id()))
                                .map(Cut.Clip::source),
                        overs.stream().filter(o -> o.take().equals(take.id())).map(Over::source))
                .toList();
    }

    /** Decibels that bring what is heard of a take to the target; none where nothing can be measured. */
    private static Optional<Double> gain(TakeEvidence take, List<Span<Axis.Take>> used, double target) {
        if (used.isEmpty() || take.levels().isEmpty()) {
            return Optional.empty();
        }
        double loudness = take.levels().integrated(used);
        return loudness > SILENT ? Optional.of(Math.min(MOST_GAIN, target - loudness)) : Optional.empty();
    }

    private static List<Span<Axis.Take>> spoken(TakeEvidence take) {
        return take.words().isEmpty()
                ? SpokenStretches.of(take)
                : take.words().stream().map(c -> new Span<>(c.start(), c.end())).toList();
    }

    private static Time<Axis.Cut> firstMove(Timeline timeline, Match match, Cut cut) {
        return timeline.intervals().stream()
                .filter(i -> i.kind().isMoving())
                .flatMap(i -> match.segment(i.first().id()).flatMap(cut::shown).stream())
                .map(Span::start)
                .findFirst()
                .orElse(null);
    }

    /** A high tone as work starts, a low one as it ends, three short ones before it starts. */
    private static List<Tone> tones(Timeline timeline, Match match, Cut cut) {
        List<Tone> tones = new ArrayList<>();
        for (Interval interval : timeline.intervals()) {
            Optional<Span<Axis.Cut>> first =
                    match.segment(interval.first().id()).flatMap(cut::shown);
            Optional<Span<Axis.Cut>> last = match.segment(interval.last().id()).flatMap(cut::shown);
            if (!interval.kind().isMoving() || first.isEmpty() || last.isEmpty()) {
                continue;
            }
            Time<Axis.Cut> start = first.get().start();
            for (int i = COUNTED; i > 0; i--) {
                Time<Axis.Cut> before = start.minus(Length.ofSeconds(i));
                if (!before.isBefore(Time.zero())) {
                    tones.add(new Tone(before, 660, Length.ofMillis(80)));
                }
            }
            tones.add(new Tone(start, 880, Length.ofMillis(220)));
            tones.add(new Tone(last.get().end(), 440, Length.ofMillis(220)));
        }
        return tones;
    }
}
