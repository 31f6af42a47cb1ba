package app.nosegay.jobs;

import java.nio.file.Path;
import java.util.List;

/** What a workout is published as, each with the file or folder it is written to. */
public enum Output {
    VIDEO("video.mp4", JobText.of("output.finished-video"), Group.VIDEO, true),
    CAPTIONS_VTT("captions.vtt", JobText.of("output.captions-webvtt"), Group.TEXT, false),
    CAPTIONS_SRT("captions.srt", JobText.of("output.captions-srt"), Group.TEXT, false),
    CAPTIONS_PLAIN("captions-as-heard.vtt", JobText.of("output.captions-as-heard"), Group.TEXT, false),
    CHAPTERS_VTT("chapters.vtt", JobText.of("output.chapters-webvtt"), Group.TEXT, false),
    CHAPTERS_FFMETADATA("chapters.ffmetadata", JobText.of("output.chapters-ffmetadata"), Group.TEXT, false),
    CHAPTERS_JSON("chapters.json", JobText.of("output.chapters-json"), Group.TEXT, false),
    CHAPTER_LINES("chapters.txt", JobText.of("output.chapter-lines"), Group.TEXT, false),
    DESCRIPTION("description.txt", JobText.of("output.description"), Group.TEXT, false),
    RUN_SHEET("run-sheet.txt", JobText.of("output.run-sheet"), Group.TEXT, false),
    CUT_LIST("cut.otio", JobText.of("output.cut-list-opentimelineio"), Group.TEXT, false),
    PROOF("proof.pdf", JobText.of("output.proof-sheet-pdf"), Group.TEXT, false),
    CARD_PDF("workout-card.pdf", JobText.of("output.workout-card-pdf"), Group.PICTURE, false),
    CARD_PNG("workout-card.png", JobText.of("output.workout-card-png"), Group.PICTURE, false),
    COVER_WIDE("cover-1280x720.png", JobText.of("output.cover-wide"), Group.PICTURE, false),
    COVER_SQUARE("cover-1080x1080.png", JobText.of("output.cover-square"), Group.PICTURE, false),
    COVER_TALL("cover-1080x1920.png", JobText.of("output.cover-tall"), Group.PICTURE, false),
    EPISODE("episode.m4a", JobText.of("output.voice-only-episode"), Group.VIDEO, true),
    CLIPS("clips", JobText.of("output.clips-of-single-moves-portrait"), Group.VIDEO, true),
    LAYER_FILM("layer.mov", JobText.of("output.overlay-layer-prores-4444-with"), Group.LAYER, true),
    LAYER_PICTURES("layer", JobText.of("output.overlay-layer-png-pictures"), Group.LAYER, true);

    /** The few files a video channel asks for: all others are for other programs and other places. */
    public static final List<Output> CHANNEL = List.of(VIDEO, CAPTIONS_SRT, CHAPTER_LINES, DESCRIPTION, COVER_WIDE);

    /** Kinds of outputs, as they are laid out. */
    public enum Group {
        VIDEO(JobText.of("output.film-and-sound")),
        TEXT(JobText.of("output.words-and-lists")),
        PICTURE(JobText.of("output.covers-and-cards")),
        LAYER(JobText.of("output.to-finish-elsewhere"));

        private final String words;

        Group(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    private final String file;
    private final String label;
    private final Group group;
    private final boolean rendered;

    Output(String file, String label, Group group, boolean rendered) {
        this.file = file;
        this.label = label;
        this.group = group;
        this.rendered = rendered;
    }

    public Path in(Path folder) {
        return folder.resolve(file);
    }

    /** What people call it. */
    public String label() {
        return label;
    }

    public Group group() {
        return group;
    }

    /** Whether making it takes longer than a moment. */
    public boolean isRendered() {
        return rendered;
    }

    /** The name on the command line. */
    public String word() {
        return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }
}
