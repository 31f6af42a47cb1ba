package app.nosegay.jobs;

import java.nio.file.Path;

/** What a workout is published as, each with the file or folder it is written to. */
public enum Output {
    VIDEO("video.mp4", "Finished video", Group.VIDEO, true),
    CAPTIONS_VTT("captions.vtt", "Captions (WebVTT)", Group.TEXT, false),
    CAPTIONS_SRT("captions.srt", "Captions (SRT)", Group.TEXT, false),
    CAPTIONS_PLAIN("captions-as-heard.vtt", "Captions as heard", Group.TEXT, false),
    CHAPTERS_VTT("chapters.vtt", "Chapters (WebVTT)", Group.TEXT, false),
    CHAPTERS_FFMETADATA("chapters.ffmetadata", "Chapters (FFMETADATA)", Group.TEXT, false),
    CHAPTERS_JSON("chapters.json", "Chapters (JSON)", Group.TEXT, false),
    CHAPTER_LINES("chapters.txt", "Chapter lines", Group.TEXT, false),
    DESCRIPTION("description.txt", "Description", Group.TEXT, false),
    RUN_SHEET("run-sheet.txt", "Run sheet", Group.TEXT, false),
    CUT_LIST("cut.otio", "Cut list (OpenTimelineIO)", Group.TEXT, false),
    PROOF("proof.pdf", "Proof sheet (PDF)", Group.TEXT, false),
    CARD_PDF("workout-card.pdf", "Workout card (PDF)", Group.PICTURE, false),
    CARD_PNG("workout-card.png", "Workout card (PNG)", Group.PICTURE, false),
    COVER_WIDE("cover-1280x720.png", "Cover, wide", Group.PICTURE, false),
    COVER_SQUARE("cover-1080x1080.png", "Cover, square", Group.PICTURE, false),
    COVER_TALL("cover-1080x1920.png", "Cover, tall", Group.PICTURE, false),
    EPISODE("episode.m4a", "Voice-only episode", Group.VIDEO, true),
    CLIPS("clips", "Clips of single moves, portrait", Group.VIDEO, true),
    LAYER_FILM("layer.mov", "Overlay layer (ProRes 4444 with alpha)", Group.LAYER, true),
    LAYER_PICTURES("layer", "Overlay layer (PNG pictures)", Group.LAYER, true);

    /** Kinds of outputs, as they are laid out. */
    public enum Group {
        VIDEO("Film and sound"),
        TEXT("Words and lists"),
        PICTURE("Covers and cards"),
        LAYER("To finish elsewhere");

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
