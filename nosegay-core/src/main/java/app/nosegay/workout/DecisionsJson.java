package app.nosegay.workout;

import app.nosegay.library.CueKind;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.fit.FitRanges;
import app.nosegay.script.ScriptNotes;
import app.nosegay.script.SpeechStyle;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;

/** The parts of a workout file that hold decisions: script, waivers, settings. All of them may be absent. */
final class DecisionsJson {
    private DecisionsJson() {}

    static void write(ObjectNode root, Workout workout) {
        ScriptNotes notes = workout.script();
        ObjectNode script = root.putObject("script");
        ArrayNode lines = script.putArray("lines");
        for (ScriptNotes.Decided d : notes.lines()) {
            ObjectNode node = lines.addObject()
                    .put("segment", d.segment())
                    .put("of", d.of())
                    .put("kind", d.kind().word())
                    .put("text", d.text());
            if (d.at() == null) {
                node.putNull("micros");
            } else {
                node.put("micros", d.at().micros());
            }
        }
        script.putObject("rate")
                .put("atRest", notes.rate().atRest())
                .put("working", notes.rate().working());
        ArrayNode avoid = script.putArray("avoid");
        notes.avoid().forEach(avoid::add);
        ArrayNode sources = script.putArray("sources");
        notes.sources().forEach(s -> sources.addObject()
                .put("claim", s.claim())
                .put("source", s.source())
                .put("date", s.date()));
        SpeechStyle style = notes.style();
        ArrayNode cheers = script.putObject("style")
                .put("start", style.start())
                .put("rest", style.rest())
                .put("namesSides", style.namesSides())
                .putArray("cheers");
        style.cheers().forEach(cheers::add);
        MatchNotesJson.write(root.putObject("match"), workout.matching());
        DressNotesJson.write(root.putObject("dressing"), workout.dressing());
        ArrayNode waivers = root.putArray("waivers");
        workout.waivers().forEach(w -> waivers.addObject()
                .put("finding", w.key())
                .put("reason", w.reason())
                .put("date", w.date()));
        settings(root.putObject("settings"), workout.settings());
    }

    private static void settings(ObjectNode node, Settings settings) {
        ChangeCosts c = settings.costs();
        node.putObject("changeSeconds")
                .put("pickUpOrPutDown", c.pickUpOrPutDown().seconds())
                .put("swap", c.swap().seconds())
                .put("band", c.band().seconds())
                .put("down", c.down().seconds())
                .put("up", c.up().seconds())
                .put("seat", c.seat().seconds())
                .put("turn", c.turn().seconds())
                .put("side", c.side().seconds());
        FitRanges r = settings.ranges();
        node.putObject("fit")
                .put("restLeast", r.restLeast().seconds())
                .put("restMost", r.restMost().seconds())
                .put("workLeast", r.workLeast().seconds())
                .put("workMost", r.workMost().seconds())
                .put("roundsLeast", r.roundsLeast())
                .put("roundsMost", r.roundsMost());
    }

    static Workout read(JsonNode root, Workout workout) {
        List<ScriptNotes.Decided> lines = new ArrayList<>();
        for (JsonNode d : root.path("script").path("lines")) {
            CueKind.of(d.path("kind").asText())
                    .ifPresent(kind -> lines.add(new ScriptNotes.Decided(
                            d.path("segment").asText(),
                            d.path("of").asText(),
                            kind,
                            d.path("text").asText(),
                            d.path("micros").isNumber()
                                    ? new Length(d.path("micros").asLong())
                                    : null)));
        }
        List<String> avoid = new ArrayList<>();
        root.path("script").path("avoid").forEach(w -> avoid.add(w.asText()));
        List<ScriptNotes.Source> sources = new ArrayList<>();
        for (JsonNode s : root.path("script").path("sources")) {
            sources.add(new ScriptNotes.Source(
                    s.path("claim").asText(),
                    s.path("source").asText(),
                    s.path("date").asText()));
        }
        JsonNode rate = root.path("script").path("rate");
        SpeechRate spoken = new SpeechRate(
                positive(rate.path("atRest"), SpeechRate.DEFAULT.atRest()),
                positive(rate.path("working"), SpeechRate.DEFAULT.working()));
        Workout read = workout.withScript(new ScriptNotes(
                        lines, spoken, avoid, sources, style(root.path("script").path("style"))))
                .withMatching(MatchNotesJson.read(root.path("match")))
                .withDressing(DressNotesJson.read(root.path("dressing")))
                .withSettings(settings(root.path("settings")));
        for (JsonNode w : root.path("waivers")) {
            read = read.withWaiver(new Waiver(
                    w.path("finding").asText(),
                    w.path("reason").asText(),
                    w.path("date").asText()));
        }
        return read;
    }

    /** Files of before have no style: the usual one. */
    private static SpeechStyle style(JsonNode node) {
        SpeechStyle usual = SpeechStyle.DEFAULT;
        List<String> cheers = new ArrayList<>();
        node.path("cheers").forEach(c -> cheers.add(c.asText()));
        cheers.removeIf(String::isBlank);
        return new SpeechStyle(
                filled(node.path("start"), usual.start()),
                filled(node.path("rest"), usual.rest()),
                node.path("namesSides").asBoolean(usual.namesSides()),
                cheers.isEmpty() ? usual.cheers() : cheers);
    }

    private static String filled(JsonNode node, String otherwise) {
        return node.asText("").isBlank() ? otherwise : node.asText();
    }

    private static double positive(JsonNode node, double otherwise) {
        return node.asDouble() > 0 ? node.asDouble() : otherwise;
    }

    private static Settings settings(JsonNode node) {
        JsonNode c = node.path("changeSeconds");
        ChangeCosts d = ChangeCosts.DEFAULT;
        ChangeCosts costs = ChangeCosts.ofSeconds(
                c.path("pickUpOrPutDown").asDouble(d.pickUpOrPutDown().seconds()),
                c.path("swap").asDouble(d.swap().seconds()),
                c.path("band").asDouble(d.band().seconds()),
                c.path("down").asDouble(d.down().seconds()),
                c.path("up").asDouble(d.up().seconds()),
                c.path("seat").asDouble(d.seat().seconds()),
                c.path("turn").asDouble(d.turn().seconds()),
                c.path("side").asDouble(d.side().seconds()));
        JsonNode f = node.path("fit");
        FitRanges r = FitRanges.DEFAULT;
        FitRanges ranges = new FitRanges(
                Length.ofSeconds(f.path("restLeast").asDouble(r.restLeast().seconds())),
                Length.ofSeconds(f.path("restMost").asDouble(r.restMost().seconds())),
                Length.ofSeconds(f.path("workLeast").asDouble(r.workLeast().seconds())),
                Length.ofSeconds(f.path("workMost").asDouble(r.workMost().seconds())),
                f.path("roundsLeast").asInt(r.roundsLeast()),
                f.path("roundsMost").asInt(r.roundsMost()));
        return new Settings(costs, ranges);
    }
}
