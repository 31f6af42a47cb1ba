package app.nosegay.jobs;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.SpokenStretches;
import app.nosegay.evidence.SpokenWords;
import app.nosegay.evidence.sound.VoiceListener;
import app.nosegay.media.MediaException;
import app.nosegay.media.Progress;
import app.nosegay.media.SoundReader;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** What was said in a video, by its transcript and, where the recording itself is there, by when a voice is heard in it. */
public final class SaidInVideo {
    /** Behind a pause of so many seconds a long caption goes on in a line of its own. */
    private static final double PAUSE = 0.8;
    /** Captions up to this long are read at a glance, in seconds. */
    private static final double SHORT = 8;
    /** Samples heard between two reports of progress: some seconds. */
    private static final int PIECE = 1 << 17;
    /** Reading the sound is this share of the work; listening for the voice is the rest. */
    private static final double READING = 0.2;

    private SaidInVideo() {}

    /**
     * The captions of a timed transcript, or of the one that lies beside a recording under its name; the words of long ones where a voice
     * is heard. Takes about a fortieth of the recording's length. Where its sound cannot be read the captions stay as they are.
     */
    public static List<Caption> captions(Path file, Progress progress) throws IOException {
        if (!PlanFrom.isMovie(file)) {
            return WorkoutMedia.transcript(file);
        }
        Path transcript = Media.transcriptBeside(file);
        if (transcript == null) {
            throw new IOException(JobText.of("plan-from.no-transcript", file.getFileName()));
        }
        return SpokenWords.laid(WorkoutMedia.transcript(transcript), voice(file, progress));
    }

    private static List<Span<Axis.Take>> voice(Path movie, Progress progress) {
        try {
            float[] sound = SoundReader.mono(movie, VoiceListener.HZ, share -> progress.at(READING * share));
            VoiceListener listener = new VoiceListener();
            for (int from = 0; from < sound.length; from += PIECE) {
                listener.listen(sound, from, Math.min(sound.length, from + PIECE));
                progress.at(READING + (1 - READING) * from / sound.length);
            }
            return SpokenStretches.of(listener.finish());
        } catch (MediaException e) {
            return List.of();
        }
    }

    /** Long captions in lines of their own where the speaker pauses, if it is known when their words are said. */
    static List<Caption> lines(List<Caption> captions) {
        List<Caption> lines = new ArrayList<>();
        for (Caption c : captions) {
            List<Caption.Word> words = c.timed();
            if (words.isEmpty() || c.end().since(c.start()).seconds() <= SHORT) {
                lines.add(c);
                continue;
            }
            int from = 0;
            for (int i = 1; i <= words.size(); i++) {
                boolean pauses = i == words.size()
                        || words.get(i).start().since(words.get(i - 1).end()).seconds() >= PAUSE;
                if (pauses) {
                    lines.add(Caption.of(words.subList(from, i)).by(c.speaker()));
                    from = i;
                }
            }
        }
        return lines;
    }
}
