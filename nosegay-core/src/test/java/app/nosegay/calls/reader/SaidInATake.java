package app.nosegay.calls.reader;

import app.nosegay.captions.Caption;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;

/** What is said in a take, line by line, and the calls heard in it. */
public abstract class SaidInATake {
    public final List<Caption> captions = new ArrayList<>();

    SaidInATake say(double at, String text) {
        captions.add(
                new Caption(Time.ofSeconds(at), Time.ofSeconds(at + Math.max(1, text.split(" ").length * 0.4)), text));
        return this;
    }

    /** The calls heard, as "kind value". */
    List<String> heard() {
        return CallReader.read(captions, List.of("goblet squat", "push-up", "glute bridge")).stream()
                .map(c -> c.kind().word() + (c.value() == null ? "" : " " + c.value()))
                .toList();
    }
}
