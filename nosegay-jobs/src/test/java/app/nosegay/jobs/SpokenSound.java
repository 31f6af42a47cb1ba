package app.nosegay.jobs;

import app.nosegay.standins.GuideVoice;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;

/** Sound put together from lines, as the guide voice says them, and quiet. */
final class SpokenSound {
    private static final int HZ = 16_000;

    private final List<Float> all = new ArrayList<>();

    SpokenSound quiet(double seconds) {
        for (int i = 0; i < seconds * HZ; i++) {
            all.add(0f);
        }
        return this;
    }

    SpokenSound says(String line) throws IOException {
        for (float sample : GuideVoice.loaded().say(line, HZ)) {
            all.add(sample);
        }
        return this;
    }

    double seconds() {
        return all.size() / (double) HZ;
    }

    /** Writes it as 16 bit WAV. */
    void write(Path wav) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(2 * all.size()).order(ByteOrder.LITTLE_ENDIAN);
        all.forEach(s -> bytes.putShort((short) Math.round(s * Short.MAX_VALUE)));
        AudioFormat format = new AudioFormat(HZ, 16, 1, true, false);
        try (AudioInputStream sound =
                new AudioInputStream(new ByteArrayInputStream(bytes.array()), format, all.size())) {
            AudioSystem.write(sound, AudioFileFormat.Type.WAVE, wav.toFile());
        }
    }
}
