package app.nosegay.match;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.List;

/**
 * How a take's time follows the shoot clock: take = offset + clock · (1 + ratePpm / 10⁶), from the sync tones of the log's own run.
 *
 * @param doubt of every boundary mapped through it
 */
record ClockMap(ShootLog log, Length offset, double ratePpm, double doubt) {
    /** Cameras and sound outputs differ by up to some hundred parts per million; more means the tones belong to different runs. */
    private static final double MOST_PPM = 2000;

    /** The map of {@code take}, or null when there is no log or none of its tones was heard. */
    static ClockMap of(TakeEvidence take, ShootLog log) {
        if (log == null) {
            return null;
        }
        List<TakeEvidence.Tone> own = take.tones().stream()
                .filter(t -> t.code() != null && t.code().run() == log.run())
                .toList();
        TakeEvidence.Tone start =
                own.stream().filter(t -> !t.code().end()).findFirst().orElse(null);
        TakeEvidence.Tone end =
                own.stream().filter(t -> t.code().end()).reduce((a, b) -> b).orElse(null);
        if (start != null && end != null && log.endTone() != null) {
            double clock = log.endTone().since(log.startTone()).seconds();
            double rate = end.time().since(start.time()).seconds() / clock - 1;
            if (Math.abs(rate * 1e6) <= MOST_PPM) {
                double offset = start.time().seconds() - log.startTone().seconds() * (1 + rate);
                return new ClockMap(log, Length.ofSeconds(offset), rate * 1e6, MatchWeights.SYNCED_DOUBT);
            }
        }
        if (start != null) {
            return new ClockMap(
                    log,
                    Length.ofSeconds(start.time().seconds() - log.startTone().seconds()),
                    0,
                    MatchWeights.ONE_TONE_DOUBT);
        }
        if (end != null && log.endTone() != null) {
            return new ClockMap(
                    log,
                    Length.ofSeconds(end.time().seconds() - log.endTone().seconds()),
                    0,
                    MatchWeights.ONE_TONE_DOUBT);
        }
        return null;
    }

    Time<Axis.Take> toTake(Time<Axis.Clock> clock) {
        return Time.ofSeconds(offset.seconds() + clock.seconds() * (1 + ratePpm / 1e6));
    }
}
