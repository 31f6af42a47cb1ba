package app.nosegay.review;

import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.apache.commons.lang3.StringUtils;

/** Findings about the match while they are collected. */
final class MatchFindings {
    private final List<Finding> findings = new ArrayList<>();

    Finding add(String code, Severity severity, Segment s, String told, String fix) {
        return add(code, severity, s, told, fix, null);
    }

    Finding add(String code, Severity severity, Segment s, String told, String fix, Finding.Moment moment) {
        String message = StringUtils.capitalize(told);
        Finding f = s == null ? Finding.of(code, severity, message) : Finding.at(code, severity, s, message);
        Finding whole = f.withFix(fix).withMoment(moment);
        findings.add(whole);
        return whole;
    }

    void all(List<Finding> more) {
        findings.addAll(more);
    }

    void remove(Finding finding) {
        findings.remove(finding);
    }

    List<Finding> list() {
        return findings;
    }

    List<Finding> worstFirst() {
        findings.sort(Comparator.comparing(Finding::severity));
        return findings;
    }

    static String seconds(double value) {
        return String.format(Locale.ROOT, "%.1f s", value);
    }

    /** A segment as people name it. */
    static String name(Segment s) {
        boolean behindMove = s.kind() == SegmentKind.REST && s.line() != null;
        String what = behindMove
                ? CoreText.of("review.match-findings.the-rest-after", s.line().name())
                : s.move() != null
                        ? s.move()
                        : s.block().name().isEmpty()
                                ? s.kind().name().toLowerCase(Locale.ROOT)
                                : s.block().name();
        String side = s.side() == Side.LEFT || s.side() == Side.RIGHT
                ? ", " + s.side().word()
                : "";
        String round = s.round() != null
                ? CoreText.of("review.match-findings.round", s.round())
                : s.set() != null ? CoreText.of("review.match-findings.set", s.set()) : "";
        return what + side + round;
    }
}
