package app.nosegay.plan.check;

import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.Promise;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Length;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;

/** The plan as JSON (docs/format/plan.schema.json): seconds with millisecond precision, absent values null. */
public final class PlanJson {
    private PlanJson() {}

    public static ObjectNode of(Timeline timeline, MoveLibrary library) {
        return of(PlanReport.of(timeline, library, ChangeCosts.DEFAULT));
    }

    /** The JSON of a plan that is computed already. */
    public static ObjectNode of(PlanReport report) {
        Timeline timeline = report.timeline();
        List<Finding> findings = report.findings();
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("title", timeline.sheet().header().title());
        root.put("totalSeconds", seconds(timeline.total()));
        promise(root, timeline.sheet().header().promise(), PlanCheck.promiseKept(findings));
        ArrayNode segments = root.putArray("segments");
        timeline.segments().forEach(s -> segment(segments.addObject(), s));
        balance(root.putObject("balance"), report.balance());
        findings(root.putArray("findings"), findings);
        return root;
    }

    private static double seconds(Length length) {
        return Math.round(length.micros() / 1000.0) / 1000.0;
    }

    private static void promise(ObjectNode root, Promise promise, boolean kept) {
        if (promise.text().isEmpty()) {
            root.putNull("promise");
            return;
        }
        ObjectNode node = root.putObject("promise");
        node.put("form", promise.form() == null ? null : promise.form().word());
        putLength(node, "minSeconds", promise.shortest());
        putLength(node, "maxSeconds", promise.longest());
        node.put("met", kept);
    }

    private static void putLength(ObjectNode node, String name, Length length) {
        if (length == null) {
            node.putNull(name);
        } else {
            node.put(name, seconds(length));
        }
    }

    private static void segment(ObjectNode node, Segment s) {
        node.put("id", s.id());
        node.put("interval", s.interval());
        node.put("kind", s.kind().word());
        node.put("move", s.move());
        node.put("block", s.block().name());
        node.put("round", s.round());
        node.put("set", s.set());
        node.put("side", s.side() == null ? null : s.side().word());
        node.put("way", s.way() == SideWay.NONE ? null : s.way().word());
        node.put("start", s.start().micros() / 1000 / 1000.0);
        node.put("duration", seconds(s.duration()));
        node.put("reps", s.reps());
        node.put("tempo", s.tempo() == null ? null : s.tempo().text());
        node.put("teaches", s.teaches());
    }

    private static void balance(ObjectNode node, Balance balance) {
        ObjectNode muscles = node.putObject("muscles");
        balance.muscles().forEach((group, load) -> muscles.put(group.word(), seconds(load)));
        node.put("pushSeconds", seconds(balance.push()));
        node.put("pullSeconds", seconds(balance.pull()));
        node.put("upperSeconds", seconds(balance.regions().get(MuscleGroup.Region.UPPER)));
        node.put("lowerSeconds", seconds(balance.regions().get(MuscleGroup.Region.LOWER)));
        node.put("coreSeconds", seconds(balance.regions().get(MuscleGroup.Region.CORE)));
        node.put("density", Math.round(balance.density() * 1000) / 1000.0);
        node.put("longestWithoutRest", seconds(balance.longestWithoutRest()));
        ObjectNode sides = node.putObject("sides");
        side(sides.putObject("left"), balance.left());
        side(sides.putObject("right"), balance.right());
    }

    private static void side(ObjectNode node, Balance.SideShare share) {
        node.put("seconds", seconds(share.time())).put("sets", share.sets()).put("reps", share.reps());
    }

    /** Findings as JSON, of any stage. */
    public static void findings(ArrayNode list, List<Finding> findings) {
        for (Finding f : findings) {
            list.addObject()
                    .put("code", f.code())
                    .put("severity", f.severity().word())
                    .put("segment", f.segment())
                    .put("message", f.message())
                    .put("fix", f.fix());
        }
    }
}
