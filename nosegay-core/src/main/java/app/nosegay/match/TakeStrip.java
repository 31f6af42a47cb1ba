package app.nosegay.match;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;

/** The takes of a workout laid end to end in the order given, as one strip of seconds the matcher solves over. */
final class TakeStrip {
    private final List<TakeEvidence> takes;
    private final List<Length> offsets = new ArrayList<>();
    private final Length total;

    /** A caption on the strip. */
    record Said(double seconds, String text, List<SaidWord> words) {
        /** When the word that holds character {@code index} is said. */
        double secondsAt(int index) {
            int word = index <= 0
                    ? 0
                    : text.substring(0, Math.min(index, text.length())).strip().split("\\s+").length;
            boolean inside = index > 0 && index < text.length() && !Character.isWhitespace(text.charAt(index - 1));
            int i = Math.max(0, Math.min(words.size() - 1, inside ? word - 1 : word));
            return words.isEmpty() ? seconds : words.get(index <= 0 ? 0 : i).seconds();
        }
    }

    /** A word on the strip. */
    record SaidWord(double seconds, String text) {}

    TakeStrip(List<TakeEvidence> takes) {
        this.takes = takes;
        Length at = Length.ZERO;
        for (TakeEvidence take : takes) {
            offsets.add(at);
            at = at.plus(take.length());
        }
        total = at;
    }

    int bins() {
        return (int) Math.ceil(total.seconds() / MatchWeights.GRID_SECONDS) + 1;
    }

    double seconds() {
        return total.seconds();
    }

    List<Double> beepSeconds() {
        List<Double> onsets = new ArrayList<>();
        for (int i = 0; i < takes.size(); i++) {
            double offset = offsets.get(i).seconds();
            takes.get(i).beeps().forEach(b -> onsets.add(offset + b.time().seconds()));
        }
        onsets.sort(Double::compare);
        return onsets;
    }

    List<Said> captions() {
        List<Said> said = new ArrayList<>();
        for (int i = 0; i < takes.size(); i++) {
            double offset = offsets.get(i).seconds();
            for (Caption c : takes.get(i).words()) {
                List<SaidWord> words = c.words().stream()
                        .map(w -> new SaidWord(offset + w.start().seconds(), w.text()))
                        .toList();
                said.add(new Said(offset + c.start().seconds(), c.text().strip(), words));
            }
        }
        said.sort((a, b) -> Double.compare(a.seconds(), b.seconds()));
        return said;
    }

    /** Motion per bin, smoothed over half a second; zeros where a take has no picture. */
    float[] motion(int bins) {
        float[] raw = new float[bins];
        for (int b = 0; b < bins; b++) {
            At at = at(b * MatchWeights.GRID_SECONDS);
            raw[b] = at.take().motion().at(at.time());
        }
        int reach = (int) Math.round(0.25 / MatchWeights.GRID_SECONDS);
        float[] smooth = new float[bins];
        double sum = 0;
        for (int b = -reach; b < bins; b++) {
            sum += b + reach < bins ? raw[b + reach] : 0;
            sum -= b - reach - 1 >= 0 ? raw[b - reach - 1] : 0;
            if (b >= 0) {
                smooth[b] = (float) (sum / (2 * reach + 1));
            }
        }
        return smooth;
    }

    /** A moment of the strip as a moment of one take. */
    record At(TakeEvidence take, Time<Axis.Take> time) {}

    At at(double seconds) {
        int i = takes.size() - 1;
        while (i > 0 && offsets.get(i).seconds() > seconds + 1e-9) {
            i--;
        }
        return new At(takes.get(i), Time.ofSeconds(seconds - offsets.get(i).seconds()));
    }

    double seconds(String take, Time<Axis.Take> time) {
        for (int i = 0; i < takes.size(); i++) {
            if (takes.get(i).id().equals(take)) {
                return offsets.get(i).seconds() + time.seconds();
            }
        }
        return time.seconds();
    }

    double startOf(TakeEvidence take) {
        return offsets.get(takes.indexOf(take)).seconds();
    }
}
