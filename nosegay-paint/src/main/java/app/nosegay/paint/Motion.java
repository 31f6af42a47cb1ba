package app.nosegay.paint;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How a motion is drawn: two keyframes of bone directions (see motions.txt).
 *
 * @param front whether it is seen from the front, else from the side
 * @param anchor what stays where it is: foot, hand or hip
 * @param from the keyframe a rep starts and ends with
 * @param to the other end of the rep
 * @param posture what changes of it where it is done in another position than it is drawn in
 */
public record Motion(String name, boolean front, String anchor, double[] from, double[] to, Posture posture) {
    private static final Map<String, Motion> ALL = load();

    /** Thighs and shins: where they are in the nine directions. */
    private static final int[] THIGHS = {5, 7};

    private static final int[] SHINS = {6, 8};

    /** A leg that moves by less from one keyframe to the other only carries the body, in degrees. */
    private static final double STILL = 30;
    /** From the front, what points at the viewer is this much of its length. */
    private static final double SHORTENED = 0.3;
    /** Of a leg that is lifted standing, this share is seen seated. */
    private static final double LIFTED_SEATED = 0.3;

    /** A body lifted by a hundredth of its height lifts seated knees by so many degrees before that share is taken. */
    private static final double HEELS = 6;

    /** How the body is held. */
    public enum Posture {
        AS_DRAWN,
        SEATED,
        KNEELING
    }

    /** The motion called {@code name}, {@code press} or {@code press@seated}; standing still when there is none. */
    public static Motion of(String name) {
        int at = name.indexOf('@');
        Motion drawn = ALL.getOrDefault(at < 0 ? name : name.substring(0, at), ALL.get("stand"));
        return at < 0 ? drawn : drawn.in(name.substring(at + 1));
    }

    private Motion in(String position) {
        double stands = Math.min(Math.abs(from[THIGHS[0]]), Math.abs(from[THIGHS[1]]));
        boolean upright = Math.abs(from[0] - 180) < 75 && stands < 40 && !anchor.equals("hand");
        if (!upright) {
            return this;
        }
        return switch (position) {
            case "seated" -> held(Posture.SEATED);
            case "kneeling" -> held(Posture.KNEELING);
            case "lying-back" -> front ? of("floor-press") : lying();
            case "lying-front" -> of("superman");
            default -> this;
        };
    }

    /** On a chair or on the knees: the legs are held, the upper body moves as it did; a leg that is lifted still is, a little. */
    private Motion held(Posture held) {
        double[] a = from.clone();
        double[] b = to.clone();
        for (int i = 0; i < THIGHS.length; i++) {
            boolean lifts = Math.abs(from[THIGHS[i]] - to[THIGHS[i]]) > STILL && held == Posture.SEATED;
            for (double[] pose : List.of(a, b)) {
                double lift = LIFTED_SEATED * (lifts ? Math.max(0, pose[THIGHS[i]]) : HEELS * pose[9]);
                int outward = i == 0 ? 1 : -1;
                pose[THIGHS[i]] = held == Posture.SEATED ? (front ? outward * 50 : 88) + lift : front ? outward * 8 : 0;
                pose[SHINS[i]] = held == Posture.SEATED || front ? 0 : -88;
            }
        }
        a[9] = 0;
        b[9] = 0;
        return new Motion(name, front, "hip", a, b, held);
    }

    /** On the back, knees bent: torso and arms turned as one. */
    private Motion lying() {
        double[] a = from.clone();
        double[] b = to.clone();
        for (double[] pose : List.of(a, b)) {
            pose[0] = -90;
            for (int i = 1; i < THIGHS[0]; i++) {
                pose[i] += 90;
            }
            for (int i = 0; i < THIGHS.length; i++) {
                pose[THIGHS[i]] = 140;
                pose[SHINS[i]] = 14;
            }
            pose[9] = 0;
        }
        return new Motion(name, front, "hip", a, b, Posture.AS_DRAWN);
    }

    /** The length of a thigh as it is seen, as a share of the whole. */
    double thigh() {
        return posture == Posture.SEATED && front ? SHORTENED : 1;
    }

    /** The length of a shin as it is seen, as a share of the whole. */
    double shin() {
        return posture == Posture.KNEELING && front ? 0 : 1;
    }

    public static boolean isKnown(String name) {
        return ALL.containsKey(name.replaceFirst("@.*", ""));
    }

    /** The bone directions at {@code phase}: 0 is {@code from}, 1 is {@code to}. */
    double[] at(double phase) {
        double[] pose = new double[from.length];
        for (int i = 0; i < pose.length; i++) {
            pose[i] = from[i] + (to[i] - from[i]) * phase;
        }
        return pose;
    }

    private static Map<String, Motion> load() {
        Map<String, Motion> all = new HashMap<>();
        try (BufferedReader in = new BufferedReader(
                new InputStreamReader(Motion.class.getResourceAsStream("motions.txt"), StandardCharsets.UTF_8))) {
            in.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).forEach(line -> {
                String[] head = line.split("\\s+", 4);
                String[] frames = head[3].split("\\|");
                all.put(
                        head[0],
                        new Motion(
                                head[0],
                                head[1].equals("front"),
                                head[2],
                                numbers(frames[0]),
                                numbers(frames[1]),
                                Posture.AS_DRAWN));
            });
        } catch (IOException e) {
            throw new UncheckedIOException("the shipped motions cannot be read", e);
        }
        return all;
    }

    private static double[] numbers(String text) {
        double[] given = Arrays.stream(text.strip().split("\\s+"))
                .mapToDouble(Double::parseDouble)
                .toArray();
        return Arrays.copyOf(given, 10);
    }
}
