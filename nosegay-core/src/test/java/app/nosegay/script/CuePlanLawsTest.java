package app.nosegay.script;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.RandomSheets;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheet.Cue;
import java.util.List;
import java.util.stream.Stream;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Laws of the cue plan that hold for every sheet. */
class CuePlanLawsTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    @Provide
    Arbitrary<String> sheets() {
        return RandomSheets.sheets();
    }

    private static CuePlan plan(Timeline timeline) {
        return CuePlanner.plan(timeline, LIBRARY, ScriptNotes.NONE);
    }

    @Property(tries = 150)
    void linesFollowEachOtherInsideTheirSegments(@ForAll("sheets") String sheet) {
        Timeline timeline = SampleSheets.timeline(sheet);
        ScriptLine before = null;
        for (ScriptLine line : plan(timeline).lines()) {
            Segment s = timeline.segment(line.segment()).orElseThrow();
            assertThat(line.start()).as(line.text()).isGreaterThanOrEqualTo(s.start());
            if (!line.isCall()) {
                assertThat(line.end()).as(line.text()).isLessThanOrEqualTo(s.end());
            }
            if (before != null) {
                assertThat(line.start()).as(before.text() + " / " + line.text()).isGreaterThanOrEqualTo(before.end());
            }
            before = line;
        }
    }

    @Property(tries = 100)
    void planningTwiceSaysTheSame(@ForAll("sheets") String sheet) {
        assertThat(plan(SampleSheets.timeline(sheet))).isEqualTo(plan(SampleSheets.timeline(sheet)));
    }

    @Property(tries = 100)
    void everyOwnLineIsSaidOnceOrListedWithItsReason(@ForAll("sheets") String sheet) {
        StringBuilder written = new StringBuilder();
        int number = 0;
        for (String line : sheet.split("\n")) {
            written.append(line).append('\n');
            if (line.startsWith("  ")) {
                written.append("    why: Remember it as line ").append(++number).append(".\n");
            }
        }
        Timeline timeline = SampleSheets.timeline(written.toString());
        CuePlan plan = plan(timeline);
        List<String> texts = Stream.concat(
                        plan.lines().stream().map(ScriptLine::text),
                        plan.missed().stream().map(l -> l.line().text()))
                .toList();
        timeline.segments().stream()
                .filter(s -> s.line() != null)
                .flatMap(s -> s.line().cues().stream())
                .filter(c -> c.kind() == CueKind.WHY)
                .map(Cue::text)
                .distinct()
                .forEach(own ->
                        assertThat(texts.stream().filter(own::equals)).as(own).hasSize(1));
    }

    @Property(tries = 100)
    void whatIsLeftSaysWhyAndWhatWouldHelp(@ForAll("sheets") String sheet) {
        assertThat(plan(SampleSheets.timeline(sheet)).left()).allSatisfy(l -> {
            assertThat(l.reason()).isNotBlank();
            assertThat(l.remedy()).isNotBlank();
            assertThat(l.over().micros()).isGreaterThanOrEqualTo(0);
        });
    }

    @Property(tries = 60)
    void aLineOfTheCreatorsStaysWhereItWasFixed(@ForAll("sheets") String sheet) {
        Timeline timeline = SampleSheets.timeline(sheet);
        plan(timeline).lines().stream().filter(l -> !l.isCall()).findFirst().ifPresent(l -> {
            ScriptNotes notes = ScriptNotes.NONE.with(new ScriptNotes.Decided(
                    l.segment(),
                    l.of(),
                    l.kind(),
                    "My own words.",
                    l.start().since(timeline.segment(l.segment()).orElseThrow().start())));
            assertThat(CuePlanner.plan(timeline, LIBRARY, notes).lines()).anySatisfy(n -> {
                assertThat(n.text()).isEqualTo("My own words.");
                assertThat(n.start()).isEqualTo(l.start());
                assertThat(n.fixed()).isTrue();
            });
        });
    }
}
