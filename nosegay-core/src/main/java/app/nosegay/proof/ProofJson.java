package app.nosegay.proof;

import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.function.Function;

/** The proof as JSON (docs/format/proof.schema.json): absent values null, seconds with millisecond precision. */
public final class ProofJson {
    private ProofJson() {}

    /**
     * @param reason why a finding was left as it is
     */
    public static ObjectNode of(Proof proof, Function<Finding, String> reason) {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("sentence", proof.sentence());
        root.put("mayPublish", proof.mayPublish());
        root.put("proven", round(proof.proven()));
        ObjectNode counts = root.putObject("open");
        for (Severity s : Severity.values()) {
            counts.put(s.word(), proof.count(s));
        }
        ArrayNode findings = root.putArray("findings");
        proof.open().forEach(f -> finding(findings.addObject(), f).putNull("waived"));
        proof.waived().forEach(f -> finding(findings.addObject(), f).put("waived", reason.apply(f)));
        ArrayNode intervals = root.putArray("intervals");
        for (IntervalComparison p : proof.comparisons()) {
            ObjectNode node = intervals
                    .addObject()
                    .put("id", p.interval().id())
                    .put("planned", p.planned())
                    .put("said", p.said())
                    .put("shown", p.shown())
                    .put("apart", round(p.apart()));
            node.put("start", p.at() == null ? null : round(p.at().start().seconds()));
            node.put("end", p.at() == null ? null : round(p.at().end().seconds()));
        }
        return root;
    }

    private static ObjectNode finding(ObjectNode node, Finding f) {
        node.put("stage", Proof.stage(f))
                .put("code", f.code())
                .put("severity", f.severity().word())
                .put("segment", f.segment())
                .put("message", f.message())
                .put("fix", f.fix());
        moment(node.putObject("moment"), f.moment());
        return node;
    }

    private static void moment(ObjectNode node, Finding.Moment moment) {
        node.put("take", moment == null ? null : moment.take());
        node.put("start", moment == null ? null : seconds(moment.span().start()));
        node.put("end", moment == null ? null : seconds(moment.span().end()));
        node.put("due", moment == null || moment.due() == null ? null : seconds(moment.due()));
    }

    private static Double seconds(Time<Axis.Take> time) {
        return round(time.seconds());
    }

    private static Double round(double value) {
        return Math.round(value * 1000) / 1000.0;
    }
}
