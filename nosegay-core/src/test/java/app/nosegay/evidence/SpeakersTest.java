package app.nosegay.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Face;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Pin;
import app.nosegay.plan.Segment;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Who says what. */
class SpeakersTest {
    private static final String SHEET = "title: Pair\npresenters: Fern leads, Ash level Oak right\ntalk Hi  0:10\n"
            + "circuit A  work 0:20\n  squat\ntalk Bye  0:10\n";

    private static Caption line(double at, String text) {
        return new Caption(Time.ofSeconds(at), Time.ofSeconds(at + 2), text);
    }

    private static TakeEvidence take(Caption... words) {
        return new TakeEvidence(
                "t", "t.mp4", Length.ofSeconds(60), List.of(), List.of(), Trace.NONE, Trace.NONE, null, List.of(words));
    }

    @Test
    void aNameBeforeAColonIsWhoSpeaksAndOtherWordsAreNot() {
        TakeEvidence told = Speakers.told(
                        List.of(take(
                                line(1, "Fern: Welcome back."),
                                line(4, ">> ASH: Hello."),
                                line(7, "Next: goblet squat"),
                                line(9, "no colon"))),
                        List.of("Fern", "Ash"))
                .get(0);
        assertThat(told.words())
                .extracting(Caption::text)
                .containsExactly("Welcome back.", "Hello.", "Next: goblet squat", "no colon");
        assertThat(told.words()).extracting(Caption::speaker).containsExactly("Fern", "Ash", "", "");
    }

    @Test
    void wordsKeepTheirOwnTimesWithoutTheName() {
        List<Caption.Word> words = new ArrayList<>();
        for (String w : List.of("Fern:", "And", "rest.")) {
            words.add(new Caption.Word(Time.ofSeconds(words.size()), Time.ofSeconds(words.size() + 1), w));
        }
        Caption told = Speakers.told(List.of(take(Caption.of(words))), List.of("Fern"))
                .get(0)
                .words()
                .get(0);
        assertThat(told.start()).isEqualTo(Time.ofSeconds(1));
        assertThat(told.words()).hasSize(2);
        TakeEvidence plain = take(line(1, "And rest."));
        assertThat(Speakers.told(List.of(plain), List.of("Fern")).get(0)).isSameAs(plain);
        assertThat(Speakers.told(List.of(plain), List.of()).get(0)).isSameAs(plain);
    }

    private static Programme filmed(Caption... words) {
        MoveLibrary library = MoveLibrary.shipped();
        Workout workout = Workout.EMPTY
                .withSheet(SHEET)
                .withDressing(DressNotes.NONE.with(DressNotes.Extra.BURNED_CAPTIONS, true));
        List<Pin> pins = new ArrayList<>();
        for (Segment s :
                Programme.of(workout, List.of(), List.of(), library).timeline().segments()) {
            pins.add(new Pin(s.id(), false, "t", Time.ofSeconds(2 + s.start().seconds())));
            pins.add(new Pin(s.id(), true, "t", Time.ofSeconds(2 + s.end().seconds())));
        }
        Workout.TakeRef ref = new Workout.TakeRef("t", "t.mp4", 1, 60, "f", null, null);
        return Programme.of(workout.withTakes(List.of(ref), pins), List.of(take(words)), List.of(), library);
    }

    private static List<Face> captions(Programme programme) {
        return programme.dressing().pieces().stream()
                .filter(p -> p.at(p.span().start()) instanceof Face.Caption)
                .map(p -> p.at(p.span().start()))
                .toList();
    }

    /** The same words are the same calls whoever says them; the picture tells who does, where several do. */
    @Test
    void whoSpeaksChangesTheCaptionsAndNothingThatIsCompared() {
        Programme plain = filmed(line(4, "Welcome back."), line(12, "And go!"), line(31, "And rest."));
        Programme two = filmed(line(4, "Ash: Welcome back."), line(12, "Fern: And go!"), line(31, "Fern: And rest."));
        Programme one = filmed(line(4, "Fern: Welcome back."), line(12, "Fern: And go!"), line(31, "Fern: And rest."));
        assertThat(two.calls()).isEqualTo(plain.calls()).isNotEmpty();
        assertThat(captions(two))
                .containsExactly(
                        new Face.Caption("Welcome back.", "Ash", 1),
                        new Face.Caption("And go!", "Fern", 0),
                        new Face.Caption("And rest.", "Fern", 0));
        assertThat(captions(one)).isEqualTo(captions(plain)).contains(new Face.Caption("And go!"));
    }
}
