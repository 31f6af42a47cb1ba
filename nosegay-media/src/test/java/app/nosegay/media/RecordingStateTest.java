package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.media.RecordingState.Trouble;
import org.junit.jupiter.api.Test;

/** What is told the person in front of the camera, by the figures alone. */
class RecordingStateTest {
    private static final long MUCH = 50_000_000_000L;

    private static RecordingState state(
            double sincePicture, double sinceSound, boolean ended, String failure, long free) {
        return new RecordingState(65, sincePicture, sinceSound, ended, failure, free, 1_000_000);
    }

    @Test
    void aRecordingThatGoesOnSaysNothing() {
        RecordingState well = state(0.1, 0.1, false, null, MUCH);
        assertThat(well.trouble()).isEqualTo(Trouble.NONE);
        assertThat(well.sentence()).isEmpty();
        assertThat(state(0.1, -1, false, null, MUCH).trouble())
                .as("none is recorded")
                .isEqualTo(Trouble.NONE);
    }

    @Test
    void pictureAndSoundThatStopAreSaidWithinTwoSeconds() {
        assertThat(state(1.6, 0.1, false, null, MUCH).trouble()).isEqualTo(Trouble.NO_PICTURE);
        assertThat(state(0.1, 0.1, true, null, MUCH).trouble()).isEqualTo(Trouble.NO_PICTURE);
        RecordingState dumb = state(0.1, 1.6, false, null, MUCH);
        assertThat(dumb.trouble()).isEqualTo(Trouble.NO_SOUND);
        assertThat(dumb.sentence()).contains("1:05").contains("microphone");
        assertThat(RecordingState.SILENT_AFTER).isLessThan(2);
    }

    @Test
    void theDiskIsSpokenOfBeforeItIsFull() {
        long forTwoMinutes = RecordingState.RESERVE_BYTES + 120_000_000;
        RecordingState ending = state(0.1, 0.1, false, null, forTwoMinutes);
        assertThat(ending.trouble()).isEqualTo(Trouble.DISK_ENDING);
        assertThat(ending.secondsLeft()).isEqualTo(120);
        assertThat(ending.sentence()).contains("120 s");
        assertThat(ending.trouble().losing()).isFalse();
        RecordingState young = new RecordingState(1, 0, 0, false, null, forTwoMinutes, 1_000_000);
        assertThat(young.trouble()).as("not measured yet").isEqualTo(Trouble.NONE);
    }

    @Test
    void theGravestTroubleIsSaid() {
        RecordingState full = state(9, 9, true, "no space", RecordingState.RESERVE_BYTES - 1);
        assertThat(full.trouble()).isEqualTo(Trouble.DISK_FULL);
        assertThat(full.trouble().losing()).isTrue();
        RecordingState stopped = state(9, 9, true, "the encoder failed", MUCH);
        assertThat(stopped.trouble()).isEqualTo(Trouble.STOPPED);
        assertThat(stopped.sentence()).contains("the encoder failed").contains("kept");
    }
}
