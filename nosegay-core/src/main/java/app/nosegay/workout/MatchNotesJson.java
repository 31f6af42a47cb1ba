package app.nosegay.workout;

import app.nosegay.captions.CaptionText;
import app.nosegay.cut.LengthRule;
import app.nosegay.cut.MatchNotes;
import app.nosegay.cut.SecondCamera;
import app.nosegay.evidence.Bodies;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** The part of a workout file that holds what was decided about the match; all of it may be absent. */
final class MatchNotesJson {
    private MatchNotesJson() {}

    static void write(ObjectNode node, MatchNotes notes) {
        node.put("rule", notes.rule().word());
        ObjectNode rules = node.putObject("rules");
        new TreeMap<>(notes.rules()).forEach((id, rule) -> rules.put(id, rule.word()));
        ObjectNode choices = node.putObject("choices");
        new TreeMap<>(notes.choices()).forEach(choices::put);
        ArrayNode cuts = node.putArray("cuts");
        for (MatchNotes.CutDecision c : notes.cuts()) {
            cuts.addObject()
                    .put("take", c.take())
                    .put("startMicros", c.span().start().micros())
                    .put("endMicros", c.span().end().micros())
                    .put("cut", c.cut());
        }
        ObjectNode taps = node.putObject("taps");
        new TreeMap<>(notes.taps()).forEach((id, times) -> {
            ArrayNode list = taps.putArray(id);
            times.forEach(t -> list.add(t.micros()));
        });
        ArrayNode repairs = node.putArray("repairs");
        for (CaptionText.Repair r : notes.repairs()) {
            repairs.addObject()
                    .put("take", r.take())
                    .put("micros", r.time().micros())
                    .put("from", r.from())
                    .put("to", r.to())
                    .put("accepted", r.accepted());
        }
        ArrayNode cameras = node.putArray("cameras");
        for (SecondCamera c : notes.cameras()) {
            cameras.addObject()
                    .put("take", c.take())
                    .put("of", c.of())
                    .put("laterMicros", c.later().micros())
                    .put("lengthMicros", c.length().micros());
        }
        writeNobody(node.putArray("nobody"), notes.nobody());
        ArrayNode mutes = node.putArray("mutes");
        for (MatchNotes.Mute m : notes.mutes()) {
            mutes.addObject()
                    .put("take", m.take())
                    .put("startMicros", m.span().start().micros())
                    .put("endMicros", m.span().end().micros());
        }
    }

    static MatchNotes read(JsonNode node) {
        Map<String, LengthRule> rules = new TreeMap<>();
        node.path("rules").properties().forEach(e -> LengthRule.of(e.getValue().asText())
                .ifPresent(rule -> rules.put(e.getKey(), rule)));
        Map<String, String> choices = new TreeMap<>();
        node.path("choices")
                .properties()
                .forEach(e -> choices.put(e.getKey(), e.getValue().asText()));
        List<MatchNotes.CutDecision> cuts = new ArrayList<>();
        for (JsonNode c : node.path("cuts")) {
            cuts.add(new MatchNotes.CutDecision(
                    c.path("take").asText(), span(c), c.path("cut").asBoolean()));
        }
        Map<String, List<Time<Axis.Take>>> taps = new TreeMap<>();
        node.path("taps").properties().forEach(e -> {
            List<Time<Axis.Take>> times = new ArrayList<>();
            e.getValue().forEach(t -> times.add(new Time<>(t.asLong())));
            taps.put(e.getKey(), times);
        });
        List<CaptionText.Repair> repairs = new ArrayList<>();
        for (JsonNode r : node.path("repairs")) {
            repairs.add(new CaptionText.Repair(
                    r.path("take").asText(),
                    new Time<>(r.path("micros").asLong()),
                    r.path("from").asText(),
                    r.path("to").asText(),
                    r.path("accepted").asBoolean()));
        }
        List<MatchNotes.Mute> mutes = new ArrayList<>();
        node.path("mutes")
                .forEach(m -> mutes.add(new MatchNotes.Mute(m.path("take").asText(), span(m))));
        List<SecondCamera> cameras = new ArrayList<>();
        for (JsonNode c : node.path("cameras")) {
            cameras.add(new SecondCamera(
                    c.path("take").asText(),
                    c.path("of").asText(),
                    new Length(c.path("laterMicros").asLong()),
                    new Length(Math.max(0, c.path("lengthMicros").asLong()))));
        }
        LengthRule rule = LengthRule.of(node.path("rule").asText()).orElse(LengthRule.RECORDING);
        return new MatchNotes(
                choices, cuts, rule, rules, taps, repairs, mutes, cameras, readNobody(node.path("nobody")));
    }

    private static void writeNobody(ArrayNode node, List<MatchNotes.Nobody> nobody) {
        for (MatchNotes.Nobody n : nobody) {
            node.addObject()
                    .put("take", n.take())
                    .put("micros", n.place().at().micros())
                    .put("x", n.place().x())
                    .put("y", n.place().y());
        }
    }

    private static List<MatchNotes.Nobody> readNobody(JsonNode node) {
        List<MatchNotes.Nobody> nobody = new ArrayList<>();
        for (JsonNode n : node) {
            Time<Axis.Take> at = new Time<>(n.path("micros").asLong());
            nobody.add(new MatchNotes.Nobody(
                    n.path("take").asText(),
                    new Bodies.Place(at, n.path("x").asDouble(), n.path("y").asDouble())));
        }
        return nobody;
    }

    private static Span<Axis.Take> span(JsonNode node) {
        Time<Axis.Take> start = new Time<>(node.path("startMicros").asLong());
        return new Span<>(
                start, Time.max(start, new Time<>(node.path("endMicros").asLong())));
    }
}
