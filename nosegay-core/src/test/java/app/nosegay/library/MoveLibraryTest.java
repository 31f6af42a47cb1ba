package app.nosegay.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.junit.jupiter.api.Test;

class MoveLibraryTest {
    private final MoveLibrary library = MoveLibrary.shipped();

    @Test
    void itHoldsAtLeastAHundredAndFiftyMovesWithOwnNames() {
        assertThat(library.moves()).hasSizeGreaterThanOrEqualTo(150);
        Set<String> names = new HashSet<>();
        for (Move move : library.moves()) {
            assertThat(names.add(move.name())).as(move.name()).isTrue();
        }
    }

    @Test
    void everyMoveIsWholeAndHasAnEasierOption() {
        Set<String> positions = Set.of(
                "standing", "kneeling", "all-fours", "plank", "seated", "lying-back", "lying-front", "side-lying");
        for (Move move : library.moves()) {
            assertThat(move.primary()).as(move.name()).isNotEmpty();
            assertThat(Collections.disjoint(move.primary(), move.secondary()))
                    .as(move.name())
                    .isTrue();
            assertThat(positions).as(move.name()).contains(move.position());
            for (CueKind kind : List.of(
                    CueKind.SETUP,
                    CueKind.FORM,
                    CueKind.AVOID,
                    CueKind.BREATH,
                    CueKind.FEEL,
                    CueKind.EASIER,
                    CueKind.HARDER)) {
                assertThat(move.cues(kind)).as(move.name() + " " + kind).isNotEmpty();
            }
        }
    }

    @Test
    void movesAreFoundByAliasCaseAndPlural() {
        assertThat(library.find("Press-Ups").orElseThrow().name()).isEqualTo("push-up");
        assertThat(library.find("REVERSE LUNGES").orElseThrow().name()).isEqualTo("reverse lunge");
        assertThat(library.find("swimming")).isEmpty();
        assertThat(library.nearestName("goblett sqat")).isEqualTo("goblet squat");
        assertThat(library.nearestName("xylophone")).isNull();
    }

    @Test
    void cuesGiveNoMedicalPromise() {
        for (Move move : library.moves()) {
            String all = move.cues().values().toString().toLowerCase(Locale.ROOT);
            assertThat(all).as(move.name()).doesNotContain("cure", "heal", "safe for", "burn fat", "detox");
        }
    }
}
