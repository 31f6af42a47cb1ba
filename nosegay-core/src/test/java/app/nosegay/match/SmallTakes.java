package app.nosegay.match;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;

/** Takes of one small plan with a beep at each boundary. */
final class SmallTakes {
    static final String SHEET =
            "title: T\ntalk Hi  0:20\ncircuit A  rounds 3  work 0:40  rest 0:20\n  squat\n  push-up\n  plank\ntalk Bye  0:10\n";

    static final Timeline TIMELINE = SampleSheets.timeline(SHEET);

    static TakeEvidence take(double seconds, List<Double> beeps) {
        List<TakeEvidence.Beep> onsets = beeps.stream()
                .map(b -> new TakeEvidence.Beep(Time.ofSeconds(b), Length.ofMillis(300), 1000, -20))
                .toList();
        return new TakeEvidence(
                "t", "t.mp4", Length.ofSeconds(seconds), List.of(), onsets, Trace.NONE, Trace.NONE, null, List.of());
    }

    /** A beep at each planned boundary, the workout starting at {@code start}. */
    static List<Double> boundaries(double start) {
        List<Double> at = new ArrayList<>();
        TIMELINE.segments().forEach(s -> at.add(start + s.start().seconds()));
        at.add(start + TIMELINE.total().seconds());
        return at;
    }

    static Match match(TakeEvidence take, Pin... pins) {
        List<ShootLog> none = new ArrayList<>();
        none.add(null);
        return Matcher.match(TIMELINE, List.of(take), none, List.of(pins));
    }

    static Caption words(double at, String text) {
        return new Caption(Time.ofSeconds(at), Time.ofSeconds(at + 2.5), text);
    }
}
