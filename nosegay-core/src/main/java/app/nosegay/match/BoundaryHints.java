package app.nosegay.match;

import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Timeline;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What the evidence says about each boundary and each segment, on the matcher's grid. Boundary k is the start of segment k; the last one is
 * the end of the workout.
 */
final class BoundaryHints {
    private static final Set<String> GO = Set.of("go", "start", "begin", "work", "off");
    private static final Set<String> STOP = Set.of("rest", "stop", "relax", "done", "time", "break");
    private static final Set<String> CHANGE = Set.of("switch", "swap", "change", "sides");
    private static final Pattern SECONDS_LEFT =
            Pattern.compile("\\b(\\d{1,2}|five|ten|fifteen|twenty|thirty)(?: more)? seconds\\b");
    private static final Pattern COUNT_DOWN = Pattern.compile("\\bthree\\W+two\\W+one\\b|\\b3\\W+2\\W+1\\b");

    private final Timeline timeline;
    private final int bins;
    private final float[] beeps;
    private final float[] go;
    private final float[] stop;
    private final float[] change;
    private final float[] ends;
    private final double[] stillness;
    private final double[] movement;
    private final List<Mention> mentions = new ArrayList<>();
    private final boolean anything;

    private record Mention(int bin, String text) {}

    BoundaryHints(Timeline timeline, TakeStrip strip) {
        this.timeline = timeline;
        this.bins = strip.bins();
        beeps = new float[bins];
        go = new float[bins];
        stop = new float[bins];
        change = new float[bins];
        ends = new float[bins];
        movement = new double[bins + 1];
        stillness = new double[bins + 1];
        List<Double> onsets = signals(strip.beepSeconds());
        for (int i = 0; i < onsets.size(); i++) {
            double next = i + 1 < onsets.size() ? onsets.get(i + 1) - onsets.get(i) : 9;
            boolean countdown = next > 0.6 && next < 1.4;
            bump(
                    beeps,
                    onsets.get(i),
                    MatchWeights.BEEP_SIGMA,
                    MatchWeights.BEEP * (countdown ? MatchWeights.COUNTDOWN_SHARE : 1));
        }
        strip.captions().forEach(this::hear);
        boolean moving = motion(strip);
        anything = !onsets.isEmpty() || !strip.captions().isEmpty() || moving;
    }

    boolean isEmpty() {
        return !anything;
    }

    private static List<Double> signals(List<Double> onsets) {
        List<Double> first = new ArrayList<>();
        double last = -9;
        for (double onset : onsets) {
            if (onset - last > MatchWeights.ONE_SIGNAL) {
                first.add(onset);
            }
            last = onset;
        }
        return first;
    }

    private void bump(float[] to, double seconds, double sigma, double weight) {
        int reach = (int) Math.ceil(3 * sigma / MatchWeights.GRID_SECONDS);
        int centre = bin(seconds);
        for (int b = Math.max(0, centre - reach); b <= Math.min(bins - 1, centre + reach); b++) {
            double off = (b * MatchWeights.GRID_SECONDS - seconds) / sigma;
            to[b] = (float) Math.max(to[b], weight * Math.exp(-0.5 * off * off));
        }
    }

    private static int bin(double seconds) {
        return (int) Math.round(seconds / MatchWeights.GRID_SECONDS);
    }

    private void hear(TakeStrip.Said said) {
        String text = said.text().toLowerCase(Locale.ROOT);
        List<TakeStrip.SaidWord> words = said.words();
        for (int i = 0; i < words.size(); i++) {
            String word = words.get(i).text().toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
            // A boundary word carries most when it stands nearly alone: "and rest" against "rest the free hand".
            double weight = MatchWeights.WORD * (words.size() <= 3 ? 1 : words.size() <= 6 ? 0.5 : 0.25);
            double at = words.get(i).seconds();
            if (GO.contains(word)) {
                bump(go, at, MatchWeights.WORD_SIGMA, weight);
            } else if (STOP.contains(word)) {
                bump(stop, at, MatchWeights.WORD_SIGMA, weight);
            } else if (CHANGE.contains(word)) {
                bump(change, at, MatchWeights.WORD_SIGMA, weight);
            }
        }
        Matcher left = SECONDS_LEFT.matcher(text);
        while (left.find()) {
            bump(
                    ends,
                    said.secondsAt(left.start()) + number(left.group(1)),
                    MatchWeights.CALL_SIGMA,
                    MatchWeights.CALL);
        }
        Matcher count = COUNT_DOWN.matcher(text);
        while (count.find()) {
            double one = said.secondsAt(count.end() - 1) + 1;
            bump(go, one, MatchWeights.CALL_SIGMA, MatchWeights.CALL);
            bump(ends, one, MatchWeights.CALL_SIGMA, MatchWeights.CALL);
        }
        mentions.add(new Mention(bin(said.seconds()), text));
    }

    private static int number(String word) {
        return switch (word) {
            case "five" -> 5;
            case "ten" -> 10;
            case "fifteen" -> 15;
            case "twenty" -> 20;
            case "thirty" -> 30;
            default -> Integer.parseInt(word);
        };
    }

    /** Cumulative log odds of movement, from how the motion compares with this take's own range. */
    private boolean motion(TakeStrip strip) {
        float[] energy = strip.motion(bins);
        float[] sorted = energy.clone();
        Arrays.sort(sorted);
        double low = Math.log(1e-4 + sorted[bins / 10]);
        double high = Math.log(1e-4 + sorted[(int) (bins * 0.85)]);
        boolean telling = high - low > 0.5;
        for (int b = 0; b < bins; b++) {
            double z =
                    telling ? Math.max(-1, Math.min(1, 2 * (Math.log(1e-4 + energy[b]) - low) / (high - low) - 1)) : 0;
            movement[b + 1] = movement[b] + z * MatchWeights.MOTION_PER_SECOND * MatchWeights.GRID_SECONDS;
            stillness[b + 1] = -movement[b + 1];
        }
        return telling;
    }

    /** How strongly the evidence speaks for boundary {@code k} at each bin. */
    float[] boundary(int k) {
        float[] sum = beeps.clone();
        List<Segment> segments = timeline.segments();
        Segment before = k > 0 ? segments.get(k - 1) : null;
        Segment after = k < segments.size() ? segments.get(k) : null;
        if (after != null && after.kind().isMoving()) {
            addTo(sum, go, 1);
        }
        if (before != null && before.kind().isMoving()) {
            addTo(sum, ends, 1);
            if (after == null || !after.kind().isMoving()) {
                addTo(sum, stop, after != null && after.kind() == SegmentKind.REST ? 1 : 0.5);
            }
        } else if (before != null && before.kind() == SegmentKind.REST) {
            addTo(sum, ends, 0.5);
        }
        boolean changes = after != null
                && before != null
                && (after.kind() == SegmentKind.SWITCH
                        || (before.kind().isMoving() && after.kind().isMoving()));
        if (changes) {
            addTo(sum, change, 1);
        }
        return sum;
    }

    private static void addTo(float[] sum, float[] part, double share) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] += (float) (part[i] * share);
        }
    }

    /** Cumulative fit of segment {@code k} with what is seen and said: its value over a stretch is the difference of two entries. */
    double[] within(int k) {
        List<Segment> segments = timeline.segments();
        Segment s = segments.get(k);
        double share =
                s.kind() == SegmentKind.TALK || s.kind() == SegmentKind.DEMO ? MatchWeights.TALK_MOTION_SHARE : 1;
        double[] base =
                s.kind().isMoving() ? movement : s.kind() == SegmentKind.SWITCH ? new double[bins + 1] : stillness;
        double[] sum = share == 1
                ? base.clone()
                : Arrays.stream(base).map(v -> v * share).toArray();
        String move = s.kind().isMoving()
                ? s.move()
                : k + 1 < segments.size() && segments.get(k + 1).kind().isMoving()
                        ? segments.get(k + 1).move()
                        : null;
        if (move != null) {
            addMentions(sum, move.toLowerCase(Locale.ROOT), s.kind().isMoving() ? 0.5 : 1);
        }
        return sum;
    }

    private void addMentions(double[] sum, String move, double share) {
        double extra = 0;
        int m = 0;
        List<Mention> named =
                mentions.stream().filter(x -> x.text().contains(move)).toList();
        for (int b = 0; b < sum.length && !named.isEmpty(); b++) {
            while (m < named.size() && named.get(m).bin() < b) {
                extra += MatchWeights.NAMED * share;
                m++;
            }
            sum[b] += extra;
        }
    }
}
