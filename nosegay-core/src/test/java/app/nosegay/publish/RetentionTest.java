package app.nosegay.publish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.cut.Cut;
import app.nosegay.match.Match;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class RetentionTest {
    @Test
    void csvAndJsonGiveTheSameCurve() throws Exception {
        Retention csv = Retention.read("second,share\n0,100%\n60,80%\n120,60%\n");
        Retention json = Retention.read(
                "[{\"second\":0,\"share\":1},{\"second\":60,\"share\":0.8},{\"second\":120,\"share\":0.6}]");

        assertThat(csv).isEqualTo(json);
        assertThat(csv.at(30)).isCloseTo(0.9, within(1e-9));
        assertThat(csv.at(500)).isEqualTo(0.6);
        assertThatThrownBy(() -> Retention.read("nothing here")).isInstanceOf(IOException.class);
    }

    @Test
    void theIntervalInWhichPeopleLeaveComesFirst() throws Exception {
        Timeline timeline = SampleSheets.timeline(
                "title: T\ncircuit Ground  work 0:40  rest 0:20\n  goblet squat\n  push-up\n  curl\n");
        List<Match.Placed> placed = new ArrayList<>();
        Time<Axis.Take> at = Time.ofSeconds(1);
        for (Segment s : timeline.segments()) {
            Time<Axis.Take> end = at.plus(s.duration());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", at, end, at, end, 0, 0, false, false));
            at = end;
        }
        Match match = new Match(
                List.of(new Match.Take("t", "t.mp4", Length.ofSeconds(at.seconds() + 2), null, 0, List.of())),
                placed,
                List.of(),
                Map.of());
        Retention curve = Retention.read("0,1\n60,0.95\n80,0.6\n200,0.5\n");

        List<Retention.Loss> losses = curve.losses(timeline, match, Cut.of(match));

        assertThat(losses.get(0).at().start().seconds()).isBetween(40.0, 70.0);
        assertThat(losses.get(0).lost()).isGreaterThan(0.2);
        assertThat(losses).hasSize(timeline.intervals().size());
    }
}
