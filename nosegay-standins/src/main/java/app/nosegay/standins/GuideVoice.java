package app.nosegay.standins;

import app.nosegay.cache.BoundedCache;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.net.MalformedURLException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import javax.sound.sampled.AudioInputStream;

/**
 * The guide voice: MaryTTS with a small English voice. Its old libraries are loaded by a class loader of their own from the folder the
 * system property {@code nosegay.voice} names, so that they never meet the application's.
 */
public final class GuideVoice implements Voice {
    private static final String FOLDER_PROPERTY = "nosegay.voice";
    /** Quieter than this is trimmed at both ends. */
    private static final float SILENCE = 0.008f;

    private final Object mary;
    private final Method generate;
    /** Counts and calls come over and over. */
    private static final int KEPT = 64;

    /** The one of this process: its libraries and models are large. */
    private static GuideVoice loaded;

    private final BoundedCache<Line, float[]> said = new BoundedCache<>(KEPT);

    private record Line(String text, int sampleRate) {}

    /** The voice; the first time this takes some seconds. */
    public static synchronized GuideVoice loaded() throws IOException {
        if (loaded == null) {
            loaded = new GuideVoice(System.getProperty(FOLDER_PROPERTY));
        }
        return loaded;
    }

    private GuideVoice(String folder) throws IOException {
        if (folder == null || !Files.isDirectory(Path.of(folder))) {
            throw new IOException(StandInText.of(
                    "guide-voice.the-guide-voice-is-not",
                    folder == null
                            ? StandInText.of("guide-voice.no-folder-given")
                            : StandInText.of("guide-voice.is-missing", folder)));
        }
        Thread thread = Thread.currentThread();
        ClassLoader before = thread.getContextClassLoader();
        try {
            // MaryTTS talks a lot and finds its parts through the context class loader.
            System.setProperty("log4j.logger.marytts", "ERROR, stderr");
            System.setProperty("java.util.logging.config.file", "none");
            ClassLoader loader = new URLClassLoader(jars(Path.of(folder)), ClassLoader.getPlatformClassLoader());
            thread.setContextClassLoader(loader);
            Class<?> type = loader.loadClass("marytts.LocalMaryInterface");
            mary = type.getConstructor().newInstance();
            generate = type.getMethod("generateAudio", String.class);
        } catch (ReflectiveOperationException e) {
            throw new IOException(StandInText.of("guide-voice.the-guide-voice-cannot-be", folder, e), e);
        } finally {
            thread.setContextClassLoader(before);
        }
    }

    private static URL[] jars(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            List<Path> jars =
                    files.filter(p -> p.toString().endsWith(".jar")).sorted().toList();
            URL[] urls = new URL[jars.size()];
            for (int i = 0; i < urls.length; i++) {
                urls[i] = jars.get(i).toUri().toURL();
            }
            return urls;
        } catch (MalformedURLException e) {
            throw new IOException(StandInText.of("guide-voice.the-voice-folder-cannot-be", folder), e);
        }
    }

    @Override
    public synchronized float[] say(String text, int sampleRate) throws IOException {
        try {
            return said.get(new Line(text, sampleRate), () -> generated(text, sampleRate));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private float[] generated(String text, int sampleRate) {
        Thread thread = Thread.currentThread();
        ClassLoader before = thread.getContextClassLoader();
        thread.setContextClassLoader(mary.getClass().getClassLoader());
        try (AudioInputStream audio = (AudioInputStream) generate.invoke(mary, text)) {
            return trimmed(resampled(samples(audio), audio.getFormat().getSampleRate(), sampleRate));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InvocationTargetException | IllegalAccessException e) {
            throw new UncheckedIOException(
                    new IOException(StandInText.of("guide-voice.the-guide-voice-cannot-say", text), e));
        } finally {
            thread.setContextClassLoader(before);
        }
    }

    private static float[] samples(AudioInputStream audio) throws IOException {
        // The voice's stream ends early when it is asked for less than everything at once.
        byte[] bytes = new byte[(int) audio.getFrameLength() * audio.getFormat().getFrameSize()];
        int read = audio.readNBytes(bytes, 0, bytes.length);
        if (read < bytes.length) {
            throw new IOException(StandInText.of("guide-voice.the-guide-voice-broke-off", read, bytes.length));
        }
        boolean big = audio.getFormat().isBigEndian();
        float[] samples = new float[bytes.length / 2];
        for (int i = 0; i < samples.length; i++) {
            int low = bytes[2 * i + (big ? 1 : 0)] & 0xff;
            int high = bytes[2 * i + (big ? 0 : 1)];
            samples[i] = (high << 8 | low) / 32768f;
        }
        return samples;
    }

    /** Cubic (Catmull-Rom) interpolation: the voice holds nothing above 8 kHz that could fold. */
    private static float[] resampled(float[] in, double from, int to) {
        float[] out = new float[(int) ((double) in.length * to / from)];
        for (int i = 0; i < out.length; i++) {
            double at = i * from / to;
            int k = (int) at;
            double t = at - k;
            double a = in[Math.max(0, k - 1)];
            double b = in[k];
            double c = in[Math.min(in.length - 1, k + 1)];
            double d = in[Math.min(in.length - 1, k + 2)];
            out[i] = (float) (b + 0.5 * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a))));
        }
        return out;
    }

    private static float[] trimmed(float[] samples) {
        int from = 0;
        int to = samples.length;
        while (from < to && Math.abs(samples[from]) < SILENCE) {
            from++;
        }
        while (to > from && Math.abs(samples[to - 1]) < SILENCE) {
            to--;
        }
        return Arrays.copyOfRange(samples, from, to);
    }
}
