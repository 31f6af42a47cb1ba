package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.paint.Palette;
import app.nosegay.paint.ViewerCard;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.Cautions;
import app.nosegay.plan.check.GearItem;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.sheet.Header;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.proof.IntervalComparison;
import app.nosegay.proof.Proof;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.Wordings;
import app.nosegay.shoot.Extreme;
import app.nosegay.shoot.SetUp;
import app.nosegay.time.Length;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;

/** Writes a plan and its script for people to hold: prompter and run sheet as PDF, run sheet as CSV and Markdown. */
public final class PrintJob {
    /** Letters of this many points can be read from two metres: about 1 cm high, the usual rule of 1/200 of the distance. */
    private static final float PROMPTER = 28;

    private static final float BODY = 10.5f;

    private PrintJob() {}

    /** The forms a plan or script is written in, each with its file name. */
    public enum Form {
        PROMPTER_PDF("prompter.pdf", JobText.of("print-job.prompter-text-pdf")),
        RUN_SHEET_PDF("run-sheet.pdf", JobText.of("print-job.run-sheet-pdf")),
        RUN_SHEET_CSV("run-sheet.csv", JobText.of("print-job.run-sheet-csv")),
        RUN_SHEET_MARKDOWN("run-sheet.md", JobText.of("print-job.run-sheet-markdown")),
        SET_UP_PDF("set-up.pdf", JobText.of("print-job.set-up-sheet-pdf")),
        PROOF_PDF("proof.pdf", JobText.of("print-job.proof-sheet-pdf")),
        CARD_PDF("workout-card.pdf", JobText.of("print-job.workout-card-pdf"));

        private final String file;
        private final String label;

        Form(String file, String label) {
            this.file = file;
            this.label = label;
        }

        public String file() {
            return file;
        }

        /** What people call it. */
        public String label() {
            return label;
        }
    }

    /** Writes one form; whoever asks for it has seen to what is there. */
    public static Path write(Programme programme, Form form, Path target) throws IOException {
        switch (form) {
            case PROMPTER_PDF -> prompter(programme, target);
            case RUN_SHEET_PDF -> runSheet(programme, target);
            case RUN_SHEET_CSV -> AtomicFile.write(target, PlanTexts.csv(programme.timeline()));
            case RUN_SHEET_MARKDOWN -> AtomicFile.write(target, PlanTexts.markdown(programme));
            case SET_UP_PDF -> setUp(programme, target);
            case PROOF_PDF -> proof(programme, target);
            case CARD_PDF -> card(programme, target);
        }
        return target;
    }

    static String title(Timeline timeline) {
        String title = timeline.sheet().header().title();
        return title.isEmpty() ? JobText.of("print-job.workout") : title;
    }

    static String what(Segment s) {
        return s.move() == null ? Wordings.capital(s.kind().word()) : Wordings.capital(s.move());
    }

    /** The side as it is said in this workout; empty for both. */
    static String side(Segment s, Header header) {
        boolean one = s.side() == Side.LEFT || s.side() == Side.RIGHT;
        return one ? s.side().spoken(header.mirrored()) : "";
    }

    private static void prompter(Programme programme, Path target) throws IOException {
        Timeline timeline = programme.timeline();
        try (PdfSheet sheet = new PdfSheet(title(timeline) + ", prompter", title(timeline))) {
            Block block = null;
            for (Segment s : timeline.segments()) {
                List<ScriptLine> lines = programme.cues().of(s.id()).stream()
                        .filter(l -> !l.isCall())
                        .toList();
                boolean newBlock = s.block() != block;
                if (newBlock && !sheet.isAtTop()) {
                    sheet.newPage();
                }
                if (newBlock) {
                    sheet.heading(Wordings.capital(s.block().name()), 34);
                    block = s.block();
                }
                if (s.kind() == SegmentKind.SWITCH || (lines.isEmpty() && s.kind() == SegmentKind.REST)) {
                    continue;
                }
                String side = side(s, timeline.sheet().header());
                sheet.paragraph(
                        s.start() + "  " + what(s) + (side.isEmpty() ? "" : ", " + side) + "  " + s.duration(),
                        18,
                        Palette.WORK,
                        true);
                for (ScriptLine line : lines) {
                    sheet.indented(line.text(), PROMPTER, Palette.INK, false, 14);
                }
                sheet.space(10);
            }
            sheet.save(target);
        }
    }

    private static void runSheet(Programme programme, Path target) throws IOException {
        Timeline timeline = programme.timeline();
        Header header = timeline.sheet().header();
        try (PdfSheet sheet = new PdfSheet(
                JobText.of("print-job.run-sheet", title(timeline)),
                JobText.of("print-job.run-sheet-2", title(timeline)))) {
            sheet.heading(title(timeline), 24);
            sheet.paragraph(programme.report().sentence(), 12, Palette.INK, true);
            String gear = gear(programme.report().gear());
            sheet.paragraph(JobText.of("print-job.gear", gear.isEmpty() ? "none" : gear), 12, Palette.INK, false);
            sheet.paragraph(Cautions.SCREENING, BODY, Palette.FADED_INK, false);
            sheet.rule();
            float[] places = {0, 46, 92, 150, 190, 230};
            Block block = null;
            for (Segment s : timeline.segments()) {
                if (s.block() != block) {
                    block = s.block();
                    sheet.space(6);
                    sheet.heading(Wordings.capital(block.name()), 14);
                    sheet.row(9, true, places, "start", "length", "kind", "side", "reps", "what");
                }
                sheet.row(
                        BODY,
                        false,
                        places,
                        "" + s.start(),
                        "" + s.duration(),
                        s.kind().word(),
                        side(s, header),
                        s.reps() == null ? "" : "" + s.reps(),
                        s.teaches() != null && s.kind() != SegmentKind.DEMO
                                ? JobText.of("print-job.show", s.teaches())
                                : what(s));
            }
            sheet.space(10);
            sheet.paragraph(Cautions.DEFERENCE, 9, Palette.FADED_INK, false);
            sheet.save(target);
        }
    }

    /** What to lay out, to try and to say first, to be ticked off in the room. */
    private static void setUp(Programme programme, Path target) throws IOException {
        Timeline timeline = programme.timeline();
        SetUp setUp = SetUp.of(timeline, programme.cues(), programme.report().gear(), Libraries.current());
        try (PdfSheet sheet = new PdfSheet(title(timeline) + ", set-up", title(timeline) + " · set-up")) {
            sheet.heading(title(timeline), 24);
            ticks(
                    sheet,
                    JobText.of("print-job.gear-in-order-of-use"),
                    setUp.gear().isEmpty() ? List.of("none") : setUp.gear());
            ticks(sheet, JobText.of("print-job.on-the-floor"), setUp.floor());
            ticks(
                    sheet,
                    JobText.of("print-job.test-frame-does-it-hold"),
                    setUp.extremes().stream().map(Extreme::text).toList());
            ticks(sheet, JobText.of("print-job.light-sound-safety"), setUp.checks());
            ticks(
                    sheet,
                    JobText.of("print-job.best-camera-angle"),
                    setUp.angles().entrySet().stream()
                            .map(e -> e.getKey() + ": " + e.getValue())
                            .toList());
            ticks(sheet, JobText.of("print-job.say-first"), setUp.sayFirst());
            sheet.space(10);
            sheet.paragraph(Cautions.DEFERENCE, 9, Palette.FADED_INK, false);
            sheet.save(target);
        }
    }

    /** Every interval told three times, then the findings, open and left as they are. */
    private static void proof(Programme programme, Path target) throws IOException {
        Timeline timeline = programme.timeline();
        Proof proof = programme.proof();
        float[] places = {0, 120, 250, 390};
        try (PdfSheet sheet = new PdfSheet(title(timeline) + ", proof", title(timeline) + " · proof")) {
            sheet.heading(title(timeline), 24);
            sheet.paragraph(proof.sentence(), 13, proof.mayPublish() ? Palette.INK : Palette.CAUTION, true);
            sheet.space(6);
            sheet.row(9, true, places, "interval", "planned", "said", "shown");
            for (IntervalComparison p : proof.comparisons()) {
                Segment first = p.interval().first();
                String round = first.round() == null ? "" : " r" + first.round();
                sheet.row(9, p.apart() > 0.1, places, what(first) + round, p.planned(), shortened(p.said()), p.shown());
            }
            findings(sheet, JobText.of("print-job.open"), proof.open(), programme);
            findings(sheet, JobText.of("print-job.left-as-they-are"), proof.waived(), programme);
            sheet.space(10);
            sheet.paragraph(Cautions.DEFERENCE, 9, Palette.FADED_INK, false);
            sheet.save(target);
        }
    }

    /** The workout on one sheet for viewers. */
    private static void card(Programme programme, Path target) throws IOException {
        Timeline timeline = programme.timeline();
        float[] places = {0, 300};
        try (PdfSheet sheet = new PdfSheet(JobText.of("print-job.workout-card", title(timeline)), title(timeline))) {
            sheet.heading(title(timeline), 26);
            Length total = programme.cut().clips().isEmpty()
                    ? timeline.total()
                    : programme.cut().total();
            sheet.paragraph(JobText.of("print-job.min", Math.round(total.seconds() / 60)), 13, Palette.INK, true);
            String gear = gear(programme.report().gear());
            sheet.paragraph(
                    JobText.of("print-job.you-need", gear.isEmpty() ? JobText.of("print-job.some-room") : gear),
                    13,
                    Palette.INK,
                    false);
            for (ViewerCard.Row row : PublishPictures.rows(programme)) {
                if (row.motion() == null) {
                    sheet.space(8);
                    sheet.heading(row.name(), 15);
                } else {
                    sheet.row(13, false, places, row.name(), row.amount());
                }
            }
            sheet.space(12);
            sheet.paragraph(Cautions.SCREENING, BODY, Palette.FADED_INK, false);
            sheet.paragraph(Cautions.DEFERENCE, BODY, Palette.FADED_INK, false);
            sheet.save(target);
        }
    }

    private static String shortened(String words) {
        return words.length() > 30 ? words.substring(0, 29) + "…" : words;
    }

    private static void findings(PdfSheet sheet, String title, List<Finding> findings, Programme programme)
            throws IOException {
        sheet.space(10);
        sheet.heading(title, 14);
        if (findings.isEmpty()) {
            sheet.paragraph("nothing", BODY, Palette.FADED_INK, false);
        }
        for (Finding f : findings) {
            String why = programme
                    .workout()
                    .waiver(f)
                    .map(w -> JobText.of("print-job.left-because", w.reason(), w.date()))
                    .orElse("");
            sheet.indented(
                    f.severity().word() + "  " + f.code() + "  " + f.message() + why, BODY, Palette.INK, false, 10);
        }
    }

    private static void ticks(PdfSheet sheet, String title, List<String> items) throws IOException {
        sheet.space(8);
        sheet.heading(title, 14);
        for (String item : items) {
            sheet.indented("[  ]  " + item, 12, Palette.INK, false, 10);
        }
    }

    static String gear(GearList gear) {
        return Wordings.list(
                gear.announced().isEmpty()
                        ? gear.used().stream()
                                .map(u -> u.item().shown())
                                .distinct()
                                .toList()
                        : gear.announced().stream().map(GearItem::shown).toList());
    }
}
