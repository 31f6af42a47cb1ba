package app.nosegay.standins;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.SyncTone;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** The evidence a good reader would gather from footage of a run, without filming it. */
final class PerformanceEvidence {
    private static final double MOTION_HZ = 10;
    private static final double LOUDNESS_HZ = 20;

    private final Performance run;

    PerformanceEvidence(Performance run) {
        this.run = run;
    }

    TakeEvidence of(String takeId) {
        Random noise = new Random(run.runNumber() * 31L + 5);
        List<TakeEvidence.Tone> tones = new ArrayList<>();
        List<Time<Axis.Take>> toneTimes = run.tones();
        for (int i = 0; i < toneTimes.size(); i++) {
            Time<Axis.Take> heard = toneTimes.get(i).plus(Length.ofSeconds(0.002 * noise.nextGaussian()));
            tones.add(new TakeEvidence.Tone(heard, new SyncTone.Code(i == 1, run.runNumber())));
        }
        List<TakeEvidence.Beep> heard = run.beeps().stream()
                .map(b -> new TakeEvidence.Beep(
                        b.time().plus(Length.ofSeconds(0.006 * noise.nextGaussian())), b.length(), b.hz(), -20))
                .toList();
        double hz = MOTION_HZ;
        float[] motion = new float[(int) Math.ceil(run.length().seconds() * hz)];
        for (int i = 0; i < motion.length; i++) {
            motion[i] = (float) (motionAt(Time.ofSeconds(i / hz)) * Math.exp(0.35 * noise.nextGaussian()));
        }
        List<Caption> words = run.spoken().stream().map(Spoken::caption).toList();
        return new TakeEvidence(
                takeId, "simulated", run.length(), tones, heard, loudness(noise), new Trace(hz, motion), null, words);
    }

    /** Sound level: the voice where it speaks, else the room. */
    private Trace loudness(Random noise) {
        double hz = LOUDNESS_HZ;
        float[] db = new float[(int) Math.ceil(run.length().seconds() * hz)];
        for (int i = 0; i < db.length; i++) {
            db[i] = (float) (-58 + 1.5 * noise.nextGaussian());
        }
        for (Spoken line : run.spoken()) {
            int from = (int) (line.start().seconds() * hz);
            int to = (int) (line.start().plus(line.length()).seconds() * hz);
            for (int i = Math.max(0, from); i < Math.min(db.length, to); i++) {
                db[i] = (float) (-24 + 4 * noise.nextGaussian());
            }
        }
        return new Trace(hz, db);
    }

    private double motionAt(Time<Axis.Take> time) {
        for (Played p : run.played()) {
            if (!time.isBefore(p.performedStart())
                    && time.isBefore(p.performedEnd())
                    && p.segment().kind().isMoving()) {
                return 0.03;
            }
            if (!time.isBefore(p.start()) && time.isBefore(p.end())) {
                return p.segment().kind() == SegmentKind.TALK ? 0.004 : 0.003;
            }
        }
        return 0.002;
    }
}
