package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swscale.SWS_AREA;
import static org.bytedeco.ffmpeg.global.swscale.SWS_FAST_BILINEAR;

import app.nosegay.evidence.SoundLevels;
import app.nosegay.evidence.SyncTone;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.evidence.sound.BeepListener;
import app.nosegay.evidence.sound.SyncListener;
import app.nosegay.time.Length;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** Reads all evidence from one take in one streaming pass: sync tones, beeps, loudness, motion and small poses; and writes its proxy. */
public final class TakeReader {
    private static final int SOUND_HZ = 16_000;
    private static final int LOUDNESS_HZ = 20;
    /** Motion needs no more pictures a second than this; the rest are decoded but not looked at. */
    private static final double MOTION_HZ = 10;

    private static final int LOOK_WIDTH = 128;
    private static final int LOOK_HEIGHT = 72;
    private static final int POSE_WIDTH = TakeEvidence.Poses.WIDTH;
    private static final int POSE_HEIGHT = 18;
    /** Colour is looked at in every so many of them: it only tells where people are. */
    private static final int TINT_EVERY = 2;
    /** A cell counts as changed when its brightness moves by more than camera noise. */
    private static final int NOISE = 6;
    /** A camera that pauses goes on with the next time stamp; one that jumps farther than this is broken. */
    static final long LONGEST_GAP_MICROS = 60_000_000;

    private final VoicePass voice = new VoicePass();
    private final SyncListener sync = new SyncListener(SOUND_HZ);
    private final BeepListener beeps = new BeepListener(SOUND_HZ);
    private final ByteArrayOutputStream poses = new ByteArrayOutputStream();
    private final ByteArrayOutputStream tints = new ByteArrayOutputStream();
    private float[] loudness = new float[1024];
    private int loudnessCount;
    private double blockEnergy;
    private int blockFill;
    private float[] motion = new float[1024];
    private int motionCount;
    private byte[] lastLook;
    private byte[] lastTint;
    private LoudnessMeter meter;
    private boolean unmetered;
    private ProxyWriter proxy;
    private long soundSamples;
    private long lastMicros;
    private int rotation;

    private TakeReader() {}

    /** What one pass over a take gives. */
    public record Reading(MediaInfo info, TakeEvidence evidence) {}

    /** Reads {@code file} whole; may take as long as decoding it does. */
    public static Reading read(Path file, String id, Progress progress) throws MediaException {
        return read(file, id, null, progress);
    }

    /** The same; a small copy for scrubbing is written to {@code proxy}, where there is a picture and it can be. */
    public static Reading read(Path file, String id, Path proxy, Progress progress) throws MediaException {
        return new TakeReader().pass(file, id, proxy, progress);
    }

    private Reading pass(Path file, String id, Path small, Progress progress) throws MediaException {
        try (MediaInput input = new MediaInput(file, true, true);
                PictureScaler look = new PictureScaler(LOOK_WIDTH, LOOK_HEIGHT, AV_PIX_FMT_GRAY8, SWS_FAST_BILINEAR);
                PictureScaler pose = pose(input.info().video());
                TintReader tint = tint(input.info().video());
                SoundConverter sound = new SoundConverter(SOUND_HZ, 1)) {
            MediaInfo info = input.info();
            proxy = small == null || info.video() == null ? null : proxy(small, info.video());
            rotation = info.video() == null ? 0 : info.video().rotation();
            double length = Math.max(0.001, info.length().seconds());
            MediaInput.Kind kind = input.next();
            long frames = 0;
            while (kind != MediaInput.Kind.END) {
                if (input.time().micros() - lastMicros > LONGEST_GAP_MICROS) {
                    // Filling hours of nothing would fill the disk: what follows is left out, as at a recording that is
                    // cut off.
                    break;
                }
                lastMicros = Math.max(lastMicros, input.time().micros());
                if (kind == MediaInput.Kind.AUDIO) {
                    hear(input, sound);
                } else {
                    see(input, look, pose, tint);
                }
                if (frames++ % 25 == 0) {
                    progress.at(Math.min(1, input.time().seconds() / length));
                }
                kind = input.next();
            }
            if (frames == 0) {
                throw new MediaException(file, MediaText.of("take-reader.nothing-in-it-can-be"));
            }
            Length seen = new Length(lastMicros);
            boolean cutOff =
                    info.length().micros() > 0 && seen.seconds() < info.length().seconds() - 2;
            Length used = cutOff || info.length().micros() == 0 ? seen : info.length();
            finishProxy();
            SoundLevels levels = meter == null ? SoundLevels.NONE : meter.levels();
            return new Reading(info, evidence(file, id, used).withLevels(levels).withVoice(voice.finish()));
        } finally {
            voice.close();
            closeProxy();
            if (meter != null) {
                meter.close();
            }
        }
    }

    /** Small pictures of a turned take are made turned, too, and set upright when they are kept. */
    private static PictureScaler pose(MediaInfo.Video video) {
        return video != null && video.isTurned()
                ? new PictureScaler(POSE_HEIGHT, POSE_WIDTH, AV_PIX_FMT_GRAY8, SWS_AREA)
                : new PictureScaler(POSE_WIDTH, POSE_HEIGHT, AV_PIX_FMT_GRAY8, SWS_AREA);
    }

    private static TintReader tint(MediaInfo.Video video) {
        return video != null && video.isTurned()
                ? new TintReader(POSE_HEIGHT, POSE_WIDTH, LOOK_WIDTH, LOOK_HEIGHT)
                : new TintReader(POSE_WIDTH, POSE_HEIGHT, LOOK_WIDTH, LOOK_HEIGHT);
    }

    /** Without a proxy scrubbing is slower, no more: where it cannot be written the take is read all the same. */
    private static ProxyWriter proxy(Path file, MediaInfo.Video video) {
        try {
            return new ProxyWriter(file, video);
        } catch (IOException e) {
            return null;
        }
    }

    private void finishProxy() {
        if (proxy != null) {
            try {
                proxy.finish();
            } catch (IOException e) {
                closeProxy();
            }
        }
    }

    private void closeProxy() {
        if (proxy != null) {
            try {
                proxy.close();
            } catch (IOException e) {
                // A half of it is left at the most, under another name.
            }
            proxy = null;
        }
    }

    private void hear(MediaInput input, SoundConverter sound) {
        long wanted = Math.round(input.time().seconds() * SOUND_HZ);
        // Sound that starts late or has a hole is filled with silence, so that sample positions stay take time.
        long gap = wanted - soundSamples;
        if (gap > SOUND_HZ / 20) {
            float[] silence = new float[(int) Math.min(gap, SOUND_HZ * 60L)];
            take(silence, silence.length);
        }
        if (meter == null && !unmetered) {
            meter(input);
        }
        if (meter != null) {
            meter.listen(input.frame());
        }
        int n = sound.convert(input.frame());
        take(sound.samples(), n);
    }

    /** Sound of a form the meter does not know is read without it. */
    private void meter(MediaInput input) {
        try {
            meter = new LoudnessMeter(input.frame());
        } catch (MediaException e) {
            unmetered = true;
        }
    }

    private void take(float[] samples, int n) {
        soundSamples += n;
        sync.listen(samples, n);
        beeps.listen(samples, n);
        voice.listen(samples, n);
        int block = SOUND_HZ / LOUDNESS_HZ;
        for (int i = 0; i < n; i++) {
            blockEnergy += samples[i] * samples[i];
            if (++blockFill == block) {
                loudness = roomy(loudness, loudnessCount);
                loudness[loudnessCount++] = (float) Math.max(-100, 10 * Math.log10(blockEnergy / block + 1e-10));
                blockEnergy = 0;
                blockFill = 0;
            }
        }
    }

    private static float[] roomy(float[] values, int count) {
        return count < values.length ? values : Arrays.copyOf(values, values.length * 2);
    }

    private void see(MediaInput input, PictureScaler look, PictureScaler pose, TintReader tint) {
        double seconds = input.time().seconds();
        if (proxy != null) {
            try {
                proxy.see(input.frame(), seconds);
            } catch (IOException e) {
                closeProxy();
            }
        }
        if (seconds * MOTION_HZ < motionCount - 0.25) {
            return;
        }
        AVFrame grey = look.scale(input.frame(), lumaFormat(input.frame().format()));
        byte[] now = bytes(grey, LOOK_WIDTH, LOOK_HEIGHT);
        float changed = lastLook == null ? 0 : change(lastLook, now);
        lastLook = now;
        byte[] small = upright(pose.scale(grey));
        if (lastTint == null || motionCount % TINT_EVERY == 0) {
            lastTint = upright(tint.of(input.frame()));
        }
        int upTo = Math.max(motionCount + 1, (int) Math.floor(seconds * MOTION_HZ + 0.25) + 1);
        while (motionCount < upTo) {
            motion = roomy(motion, motionCount);
            motion[motionCount++] = changed;
            poses.write(small, 0, small.length);
            tints.write(lastTint, 0, lastTint.length);
        }
    }

    private byte[] upright(AVFrame cells) {
        return UprightPicture.turned(bytes(cells, cells.width(), cells.height()), rotation, POSE_WIDTH, POSE_HEIGHT);
    }

    /** 8-bit planar video has its brightness in plane 0, which can be read as a grey picture without touching colour. */
    private static int lumaFormat(int format) {
        boolean planarEightBit = format == AV_PIX_FMT_YUV420P
                || format == AV_PIX_FMT_YUVJ420P
                || format == AV_PIX_FMT_YUV422P
                || format == AV_PIX_FMT_YUVJ422P
                || format == AV_PIX_FMT_YUV444P
                || format == AV_PIX_FMT_NV12;
        return planarEightBit ? AV_PIX_FMT_GRAY8 : format;
    }

    private static byte[] bytes(AVFrame grey, int width, int height) {
        byte[] all = new byte[width * height];
        for (int y = 0; y < height; y++) {
            grey.data(0).position((long) y * grey.linesize(0)).get(all, y * width, width);
        }
        grey.data(0).position(0);
        return all;
    }

    /** The share of the picture that changed, weighted by how much. */
    private static float change(byte[] a, byte[] b) {
        int sum = 0;
        for (int i = 0; i < a.length; i++) {
            int d = Math.abs((a[i] & 0xff) - (b[i] & 0xff));
            sum += d > NOISE ? Math.min(d, 64) : 0;
        }
        return sum / (64f * a.length);
    }

    private TakeEvidence evidence(Path file, String id, Length length) {
        List<TakeEvidence.Tone> tones = sync.heard();
        List<TakeEvidence.Beep> outsideTones = beeps.heard().stream()
                .filter(b -> tones.stream().noneMatch(t -> {
                    double off = b.time().seconds() - t.time().seconds();
                    return off > -0.1 && off < SyncTone.seconds() + 0.1;
                }))
                .toList();
        TakeEvidence.Poses small = motionCount == 0
                ? null
                : new TakeEvidence.Poses(MOTION_HZ, POSE_WIDTH * POSE_HEIGHT, poses.toByteArray(), tints.toByteArray());
        return new TakeEvidence(
                id,
                file.toString(),
                length,
                tones,
                outsideTones,
                new Trace(LOUDNESS_HZ, Arrays.copyOf(loudness, loudnessCount)),
                new Trace(MOTION_HZ, Arrays.copyOf(motion, motionCount)),
                small,
                List.of());
    }
}
