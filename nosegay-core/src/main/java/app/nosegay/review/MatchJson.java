package app.nosegay.review;

import app.nosegay.calls.reader.TranscriptJson;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.PlanJson;
import app.nosegay.review.said.HeardCall;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The match as JSON (docs/format/match.schema.json): seconds with millisecond precision, absent values null. */
public final class MatchJson {
    private MatchJson() {}

    public static ObjectNode of(Timeline timeline, Match match) {
        return of(timeline, match, List.of(), List.of());
    }

    /** With the calls heard and the findings. */
    public static ObjectNode of(Timeline timeline, Match match, List<HeardCall> calls, List<Finding> findings) {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        ArrayNode takes = root.putArray("takes");
        for (Match.Take t : match.takes()) {
            ObjectNode node = takes.addObject().put("id", t.id()).put("file", t.file());
            if (t.offset() == null) {
                node.putNull("offset");
            } else {
                node.put("offset", round(t.offset().seconds()));
            }
            node.put("ratePpm", Math.round(t.ratePpm() * 100) / 100.0);
            ArrayNode evidence = node.putArray("evidence");
            t.evidence().forEach(evidence::add);
            node.put("foreign", t.foreign());
        }
        List<String> order = foundOrder(match);
        ArrayNode segments = root.putArray("segments");
        for (int k = 0; k < match.segments().size(); k++) {
            segment(segments.addObject(), match.segments().get(k), k, order);
        }
        ArrayNode unplanned = root.putArray("unplanned");
        for (Match.Unplanned u : match.unplanned()) {
            unplanned
                    .addObject()
                    .put("take", u.take())
                    .put("start", round(u.span().start().seconds()))
                    .put("end", round(u.span().end().seconds()))
                    .put("kind", u.kind());
        }
        ObjectNode reps = root.putObject("reps");
        timeline.segments().stream()
                .filter(s -> match.reps().containsKey(s.id()))
                .forEach(s -> {
                    ArrayNode times = reps.putArray(s.id());
                    match.reps().get(s.id()).forEach(t -> times.add(round(t.seconds())));
                });
        ArrayNode heard = root.putArray("calls");
        for (HeardCall c : calls) {
            TranscriptJson.call(heard.addObject(), c.call())
                    .put("take", c.take())
                    .put("time", round(c.call().time().seconds()))
                    .put("end", round(c.call().end().seconds()))
                    .put("text", c.call().text())
                    .put("segment", c.segment())
                    .put("truth", c.truth())
                    .put("error", c.error());
        }
        PlanJson.findings(root.putArray("findings"), findings);
        return root;
    }

    /** Segment ids in the order they are found in the takes. */
    private static List<String> foundOrder(Match match) {
        List<Match.Placed> found = new ArrayList<>(
                match.segments().stream().filter(Match.Placed::matched).toList());
        List<String> takes = match.takes().stream().map(Match.Take::id).toList();
        found.sort(Comparator.comparing((Match.Placed p) -> takes.indexOf(p.take()))
                .thenComparing(Match.Placed::start));
        return found.stream().map(Match.Placed::id).toList();
    }

    private static void segment(ObjectNode node, Match.Placed p, int index, List<String> order) {
        node.put("id", p.id());
        node.put("status", p.matched() ? "matched" : "missing");
        node.put("pinned", p.startPinned() || p.endPinned());
        node.put("take", p.take());
        time(node, "start", p.start());
        time(node, "end", p.end());
        time(node, "performedStart", p.performedStart());
        time(node, "performedEnd", p.performedEnd());
        node.put("startDoubt", round(p.startDoubt()));
        node.put("endDoubt", round(p.endDoubt()));
        node.put("doubt", round(p.doubt()));
        if (p.matched()) {
            Length drift = p.drift();
            node.put("drift", round(drift.seconds()));
        } else {
            node.putNull("drift");
        }
        node.put("plannedIndex", index);
        if (p.matched()) {
            node.put("foundIndex", order.indexOf(p.id()));
        } else {
            node.putNull("foundIndex");
        }
        node.put("reason", p.reason());
        ArrayNode others = node.putArray("others");
        for (Match.Other o : p.others()) {
            others.addObject()
                    .put("take", o.take())
                    .put("start", round(o.start().seconds()))
                    .put("end", round(o.end().seconds()))
                    .put("kind", o.kind());
        }
    }

    private static void time(ObjectNode node, String name, Time<Axis.Take> time) {
        if (time == null) {
            node.putNull(name);
        } else {
            node.put(name, round(time.seconds()));
        }
    }

    private static double round(double seconds) {
        return Math.round(seconds * 1000) / 1000.0;
    }
}
