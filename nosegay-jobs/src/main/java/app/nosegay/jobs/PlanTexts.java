package app.nosegay.jobs;

import app.nosegay.library.CueKind;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.Cautions;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.script.Wordings;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.io.StringWriter;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A plan as plain text for other programs: a table of its segments, and a sheet in Markdown. */
final class PlanTexts {

    private static final Pattern FORMULA = Pattern.compile("^[=+\\-@\\t\\r]");

    private static final Pattern MARKS = Pattern.compile("[\\\\`*_\\[\\]<>#|~]");

    private PlanTexts() {}

    /** One row per segment; seconds with millisecond precision. */
    static String csv(Timeline timeline) throws IOException {
        StringWriter out = new StringWriter();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader("start", "seconds", "kind", "block", "round", "set", "move", "side", "reps", "tempo", "id")
                .get();
        try (CSVPrinter csv = new CSVPrinter(out, format)) {
            for (Segment s : timeline.segments()) {
                csv.printRecord(
                        s.start().micros() / 1000 / 1000.0,
                        s.duration().micros() / 1000 / 1000.0,
                        s.kind().word(),
                        cell(s.block().name()),
                        s.round(),
                        s.set(),
                        cell(s.move()),
                        s.side() == null ? null : s.side().word(),
                        s.reps(),
                        s.tempo() == null ? null : s.tempo().text(),
                        s.id());
            }
        }
        return out.toString();
    }

    /** A spreadsheet takes a text that begins like a formula for one; an apostrophe before it keeps it a text. */
    private static String cell(String text) {
        return text != null && FORMULA.matcher(text).find() ? "'" + text : text;
    }

    /** A person's words inside Markdown: plain text, whatever marks are in it. */
    private static String plain(String text) {
        return MARKS.matcher(text).replaceAll("\\\\$0");
    }

    static String markdown(Programme programme) {
        Timeline timeline = programme.timeline();
        StringBuilder md = new StringBuilder("# " + plain(PrintJob.title(timeline)) + "\n\n"
                + programme.report().sentence() + "\n");
        String gear = PrintJob.gear(programme.report().gear());
        md.append(JobText.of("print-job.gear-2"))
                .append(gear.isEmpty() ? "none" : plain(gear))
                .append("\n\n")
                .append(Cautions.SCREENING)
                .append("\n");
        Block block = null;
        for (Segment s : timeline.segments()) {
            if (s.block() != block) {
                block = s.block();
                md.append("\n## ")
                        .append(plain(Wordings.capital(block.name())))
                        .append("\n\n| start | length | what | side | reps |\n|---|---|---|---|---|\n");
            }
            md.append("| ").append(s.start()).append(" | ").append(s.duration()).append(" | ");
            md.append(plain(PrintJob.what(s)))
                    .append(" | ")
                    .append(PrintJob.side(s, timeline.sheet().header()));
            md.append(" | ").append(s.reps() == null ? "" : s.reps()).append(" |\n");
        }
        programme.cues().lines().stream()
                .filter(l -> l.kind() == CueKind.CAUTION)
                .findFirst()
                .ifPresent(l -> md.append("\n_").append(Cautions.DEFERENCE).append("_\n"));
        return md.toString();
    }
}
