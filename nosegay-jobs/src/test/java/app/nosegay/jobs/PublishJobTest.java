package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.captions.TranscriptReader;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Style;
import app.nosegay.files.Fingerprint;
import app.nosegay.match.Pin;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.Ffmpeg;
import app.nosegay.media.FramePicker;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MediaInfo;
import app.nosegay.media.MediaInput;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.paint.PiecePainter;
import app.nosegay.paint.StudioBackdrop;
import app.nosegay.standins.Channel;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PublishJobTest {
    private static final String SHEET = "title: Small Beds\npromise: about 1 min, 2 moves\n"
            + "levels: Seedling easier left, Oak main centre\ngear: kettlebell medium\n"
            + "talk Hi  0:10\ncircuit A  work 0:12  rest 0:08\n  goblet squat  gear kettlebell medium\n  push-up\ntalk Bye  0:10\n";
    private static final int WIDTH = 640;
    private static final int HEIGHT = 360;
    private static final double BEFORE = 2;

    @TempDir
    private static Path folder;

    private static WorkoutMedia media;
    private static Programme programme;

    /** A recording with a figure in the middle, a tone at −26 dBFS, and a transcript; its boundaries are pinned. */
    @BeforeAll
    static void film() throws IOException {
        Path movie = folder.resolve("take-1.mp4");
        BufferedImage set = StudioBackdrop.paint(WIDTH, HEIGHT);
        BufferedImage frame = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        try (MovieWriter writer = new MovieWriter(
                movie,
                new MovieFormat(WIDTH, HEIGHT, new FrameRate(15, 1), EncoderSettings.TAKE, true),
                "",
                List.of())) {
            float[] tone = new float[2 * MovieWriter.SOUND_HZ / 15];
            for (int n = 0; n < 60 * 15; n++) {
                double t = n / 15.0 - BEFORE;
                Graphics2D g = frame.createGraphics();
                g.drawImage(set, 0, 0, null);
                boolean moves = (t > 10 && t < 22) || (t > 30 && t < 42);
                double phase = moves ? 0.5 - 0.5 * Math.cos(t * 2) : 0;
                Figure.presenter()
                        .draw(
                                g,
                                new Figure.Stance(Motion.of("squat"), phase, false, Figure.Prop.NONE),
                                WIDTH / 2.0,
                                HEIGHT * 0.92,
                                210);
                g.dispose();
                writer.picture(frame, n);
                for (int i = 0; i < tone.length / 2; i++) {
                    double at = n / 15.0 + i / (double) MovieWriter.SOUND_HZ;
                    tone[2 * i] = (float) (0.05 * Math.sin(2 * Math.PI * 997 * at));
                    tone[2 * i + 1] = tone[2 * i];
                }
                writer.sound(tone, 0, tone.length / 2);
            }
            writer.finish();
        }
        Files.writeString(
                folder.resolve("take-1.vtt"),
                "WEBVTT\n\n00:00:03.000 --> 00:00:05.000\nWelcome to the beds.\n\n00:00:14.000 --> 00:00:16.000\nChest tall.\n");
        Workout.TakeRef take = Media.reference(folder, "take-1", movie, 60, folder.resolve("take-1.vtt"), null);
        Workout workout = Workout.EMPTY.withSheet(SHEET).withTake(take);
        double[] starts = {0, 10, 22, 30, 42};
        String[] ids = {"hi", "a/goblet-squat", "a/goblet-squat/rest", "a/push-up", "bye"};
        for (int i = 0; i < ids.length; i++) {
            workout = workout.withPin(new Pin(ids[i], false, "take-1", Time.ofSeconds(BEFORE + starts[i])));
        }
        workout = workout.withPin(new Pin("bye", true, "take-1", Time.ofSeconds(BEFORE + 52)));
        media = WorkoutMedia.read(workout, folder, Progress.NONE);
        programme = media.programme(workout);
    }

    private static final Map<Output, Path> DRAFTS = new EnumMap<>(Output.class);

    /** An output of the programme as a draft, written once for all tests. */
    private static Path draft(Output output) throws IOException {
        if (!DRAFTS.containsKey(output)) {
            DRAFTS.put(output, write(output, DRAFT));
        }
        return DRAFTS.get(output);
    }

    private static Path write(Output output, PublishJob.Choices choices) throws IOException {
        return PublishJob.write(
                        output,
                        new PublishJob.Export(programme, media, folder.resolve("out"), true, choices),
                        Progress.NONE)
                .file();
    }

    private static final PublishJob.Choices DRAFT = new PublishJob.Choices(
            PublishVideo.Shape.AS_FILMED, PublishVideo.Quality.DRAFT, PublishJob.Choices.USUAL.template());

    @Test
    void everyTextIsWrittenAndCanBeReadAgain() throws Exception {
        List<Path> written = PublishJob.texts(programme, media, folder.resolve("texts"), false);

        assertThat(written).hasSizeGreaterThan(12).allMatch(Files::exists);
        Path out = folder.resolve("texts");
        assertThat(TranscriptReader.read(Files.readAllBytes(out.resolve("captions.vtt"))))
                .hasSize(2);
        assertThat(Files.readString(out.resolve("description.txt")))
                .contains(
                        "Small Beds",
                        "Seedling: easier, on the left",
                        "medium kettlebell",
                        "Ask your doctor",
                        "0:00 Hi");
        assertThat(Files.readString(out.resolve("run-sheet.txt"))).isEqualTo(SHEET);
        JsonNode chapters = JsonMapper.builder()
                .build()
                .readTree(out.resolve("chapters.json").toFile());
        assertThat(chapters.path("chapters").get(0).path("startTime").asDouble())
                .isZero();
        BufferedImage cover = ImageIO.read(out.resolve("cover-1080x1920.png").toFile());
        assertThat(cover.getWidth()).isEqualTo(1080);
        assertThat(cover.getHeight()).isEqualTo(1920);
        assertThatThrownBy(() -> PublishJob.texts(programme, media, out, false))
                .isInstanceOf(FileAlreadyExistsException.class);
        try (Stream<Path> left = Files.list(out)) {
            assertThat(left.filter(p -> p.toString().endsWith(".part"))).isEmpty();
        }
    }

    @Test
    void theCutListAddsUpToTheProgramme() throws Exception {
        JsonNode root =
                JsonMapper.builder().build().readTree(draft(Output.CUT_LIST).toFile());

        assertThat(root.path("OTIO_SCHEMA").asText()).isEqualTo("Timeline.1");
        JsonNode tracks = root.path("tracks").path("children");
        assertThat(tracks).hasSize(2);
        double frames = 0;
        for (JsonNode clip : tracks.get(0).path("children")) {
            frames += clip.path("source_range").path("duration").path("value").asDouble();
            assertThat(clip.path("media_reference").path("target_url").asText()).isEqualTo("../take-1.mp4");
        }
        double rate = root.at("/tracks/children/0/children/0/source_range/duration/rate")
                .asDouble();
        assertThat(frames / rate).isCloseTo(programme.cut().total().seconds(), within(0.1));
        assertThat(tracks.get(0).path("markers")).hasSize(5);
    }

    @Test
    void theVideoShowsWhatThePreviewShowsAtTheTargetLoudness() throws Exception {
        Path video = draft(Output.VIDEO);

        MediaInfo info = MediaInput.probe(video);
        assertThat(info.length().seconds()).isCloseTo(programme.cut().total().seconds(), within(0.15));
        TakeReader.Reading read = TakeReader.read(video, "v", Progress.NONE);
        assertThat(read.evidence().levels().truePeakDb()).isLessThanOrEqualTo(-0.9);
        double lifted =
                read.evidence().levels().integrated(List.of(new Span<>(Time.ofSeconds(12), Time.ofSeconds(20))));
        // A steady tone at −26 dBFS needs about 12 dB: it comes to the target.
        assertThat(lifted).isCloseTo(-14, within(1.5));
        Time<Axis.Cut> at = Time.ofSeconds(16.4);
        try (FramePicker finished = new FramePicker(video);
                FramePicker source = new FramePicker(folder.resolve("take-1.mp4"))) {
            BufferedImage shown = finished.frameAt(Time.ofSeconds(16.4), WIDTH, HEIGHT);
            BufferedImage preview =
                    source.frameAt(programme.cut().clipAt(at).orElseThrow().sourceAt(at), WIDTH, HEIGHT);
            Graphics2D g = preview.createGraphics();
            new PiecePainter(Style.PRESSED).draw(programme.dressing().shown(at), g, WIDTH, HEIGHT);
            g.dispose();
            assertThat(difference(shown, preview)).isLessThan(6);
        }
    }

    /** The mean difference of the channels of two pictures, 0 to 255. */
    private static double difference(BufferedImage a, BufferedImage b) {
        long sum = 0;
        for (int y = 0; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                for (int shift = 0; shift <= 16; shift += 8) {
                    sum += Math.abs((a.getRGB(x, y) >> shift & 255) - (b.getRGB(x, y) >> shift & 255));
                }
            }
        }
        return sum / (3.0 * a.getWidth() * a.getHeight());
    }

    @Test
    void episodePortraitAndClipsHaveTheirShape() throws Exception {
        MediaInfo episode = MediaInput.probe(draft(Output.EPISODE));
        assertThat(episode.video()).isNull();
        assertThat(episode.length().seconds()).isCloseTo(programme.cut().total().seconds(), within(0.15));
        Path clips = draft(Output.CLIPS);
        try (Stream<Path> films = Files.list(clips)) {
            List<Path> all = films.sorted().toList();
            assertThat(all)
                    .extracting(p -> p.getFileName().toString())
                    .containsExactly("goblet-squat.mp4", "push-up.mp4");
            MediaInfo.Video video = MediaInput.probe(all.get(0)).video();
            assertThat(video.shownWidth()).isEqualTo(1080);
            assertThat(video.shownHeight()).isEqualTo(1920);
        }
        Path square = write(
                Output.VIDEO,
                new PublishJob.Choices(PublishVideo.Shape.SQUARE, PublishVideo.Quality.DRAFT, DRAFT.template()));
        assertThat(MediaInput.probe(square).video().shownWidth()).isEqualTo(HEIGHT);
    }

    @Test
    void theLayerIsAsLongAsTheProgrammeAndItsPicturesAreTransparentInTheMiddle() throws Exception {
        Path film = draft(Output.LAYER_FILM);
        assertThat(MediaInput.probe(film).length().seconds())
                .isCloseTo(programme.cut().total().seconds(), within(0.15));
        Path pictures = draft(Output.LAYER_PICTURES);
        String list = Files.readString(pictures.resolve("layer.ffconcat"));
        double sum = list.lines()
                .filter(l -> l.startsWith("duration"))
                .mapToDouble(l -> Double.parseDouble(l.substring(9)))
                .sum();
        assertThat(sum).isCloseTo(programme.cut().total().seconds(), within(0.1));
        try (Stream<Path> files = Files.list(pictures)) {
            Path one = files.filter(p -> p.toString().endsWith(".png"))
                    .sorted()
                    .skip(20)
                    .findFirst()
                    .orElseThrow();
            BufferedImage image = ImageIO.read(one.toFile());
            assertThat(image.getRGB(WIDTH / 2, HEIGHT / 2) >>> 24).isZero();
        }
    }

    /** What {@code ffprobe}, which nobody here wrote, finds in each output. */
    @Test
    void everyOutputIsOpenedByAnotherProgram() throws Exception {
        int chapters = programme.chapters().size();
        int captions = programme.captions().size();
        Path video = draft(Output.VIDEO);
        assertThat(streams(video)).contains("h264,640,360,yuv420p,24000/1001", "aac");
        assertThat(count("-show_chapters -of csv=p=0", video)).isEqualTo(chapters);
        double length = programme.cut().total().seconds();
        assertThat(Double.parseDouble(Ffmpeg.probe("-show_entries format=duration -of csv=p=0", video)))
                .isCloseTo(length, within(0.1));
        assertThat(Ffmpeg.probe("-show_entries format_tags=title -of csv=p=0", video))
                .contains("Small Beds");
        assertThat(streams(draft(Output.EPISODE))).contains("aac");
        assertThat(streams(draft(Output.LAYER_FILM)).get(0)).startsWith("prores,640,360,yuva444p");
        assertThat(streams(draft(Output.CAPTIONS_VTT)).get(0)).startsWith("webvtt");
        assertThat(count("-show_packets -of csv=p=0", draft(Output.CAPTIONS_VTT)))
                .isEqualTo(captions);
        assertThat(streams(draft(Output.CAPTIONS_SRT)).get(0)).startsWith("subrip");
        assertThat(count("-show_packets -of csv=p=0", draft(Output.CAPTIONS_SRT)))
                .isEqualTo(captions);
        assertThat(count("-show_packets -of csv=p=0", draft(Output.CHAPTERS_VTT)))
                .isEqualTo(chapters);
        assertThat(count("-f ffmetadata -show_chapters -of csv=p=0", draft(Output.CHAPTERS_FFMETADATA)))
                .isEqualTo(chapters);
        for (Output picture : List.of(Output.COVER_WIDE, Output.COVER_SQUARE, Output.COVER_TALL, Output.CARD_PNG)) {
            assertThat(streams(draft(picture)).get(0)).startsWith("png");
        }
    }

    /** The layer's pictures with their times and the finished film are laid together by another program, as people will do. */
    @Test
    void anotherProgramLaysTheLayerOverTheBareCut() throws Exception {
        Path pictures = draft(Output.LAYER_PICTURES);
        Path joined = folder.resolve("joined.mp4");
        Ffmpeg.run(
                "-i $0 -f concat -safe 0 -i $1 -filter_complex overlay -an -t 20 -preset ultrafast $2",
                media.files(programme.workout()).get("take-1"),
                pictures.resolve("layer.ffconcat"),
                joined);
        assertThat(streams(joined).get(0)).startsWith("h264,640,360");
        Path film = draft(Output.LAYER_FILM);
        Ffmpeg.run(
                "-i $0 -vf alphaextract,format=gray -frames:v 1 -ss 14 -update 1 $1",
                film,
                folder.resolve("alpha.png"));
        BufferedImage alpha = ImageIO.read(folder.resolve("alpha.png").toFile());
        assertThat(alpha.getRGB(WIDTH / 2, HEIGHT / 2) & 0xff)
                .as("nothing lies over the middle")
                .isLessThan(8);
        int opaque = 0;
        for (int x = 0; x < WIDTH; x++) {
            for (int y = 0; y < HEIGHT; y++) {
                opaque += (alpha.getRGB(x, y) & 0xff) > 200 ? 1 : 0;
            }
        }
        assertThat(opaque / (double) (WIDTH * HEIGHT)).as("pieces").isBetween(0.02, 0.4);
    }

    private static List<String> streams(Path file) throws IOException {
        return Ffmpeg.probe("-show_entries stream=codec_name,width,height,pix_fmt,r_frame_rate -of csv=p=0", file)
                .lines()
                .map(l -> l.replaceAll(",0/0.*$", ""))
                .toList();
    }

    private static long count(String arguments, Path file) throws IOException {
        return Ffmpeg.probe(arguments, file).lines().filter(l -> !l.isBlank()).count();
    }

    @Test
    void aCancelledRenderLeavesNothingHalfWritten() throws Exception {
        Path out = folder.resolve("cancelled");
        for (Output output : List.of(Output.VIDEO, Output.EPISODE, Output.LAYER_FILM, Output.LAYER_PICTURES)) {
            assertThatThrownBy(() -> PublishJob.write(
                            output, new PublishJob.Export(programme, media, out, true, DRAFT), share -> {
                                if (share > 0.1) {
                                    throw new CancellationException();
                                }
                            }))
                    .isInstanceOf(CancellationException.class);
        }
        try (Stream<Path> left = Files.list(out)) {
            assertThat(left).isEmpty();
        }
    }

    @Test
    void missingMusicAndAnEmptyPlanAreSaid() {
        Workout with = programme
                .workout()
                .withDressing(
                        DressNotes.NONE.withSound(new DressNotes.Sound(true, true, "gone.mp3", "", -18, false, false)));
        Programme loud = media.programme(with);
        assertThatThrownBy(() -> PublishJob.write(
                        Output.VIDEO,
                        new PublishJob.Export(loud, media, folder.resolve("m"), true, DRAFT),
                        Progress.NONE))
                .hasMessageContaining("gone.mp3");
        assertThat(loud.proof().open()).anyMatch(f -> f.code().equals("sound.licence"));
        Programme nothing = WorkoutMedia.none(folder).programme(Workout.EMPTY);
        assertThatThrownBy(() -> PublishJob.write(
                        Output.DESCRIPTION,
                        new PublishJob.Export(nothing, media, folder.resolve("m"), true, DRAFT),
                        Progress.NONE))
                .hasMessageContaining("nothing to publish yet");
    }

    @Test
    void aVideoWrittenAgainIsTakenOverWhereNothingChanged() throws Exception {
        Path out = folder.resolve("again");
        PublishJob.Written first = PublishJob.write(
                Output.VIDEO, new PublishJob.Export(programme, media, out, true, DRAFT), Progress.NONE);
        assertThat(first.fresh()).isEqualTo(1);
        assertThat(first.taken()).isEmpty();
        Path video = first.file();
        long whole = Files.size(video);
        try (var kept = Files.list(folder.resolve(".nosegay"))) {
            assertThat(kept.map(p -> p.getFileName().toString())).anyMatch(name -> name.endsWith(".parts"));
        }
        // Pictures are neither decoded nor encoded the second time: progress is told by the picture alone.
        List<Double> told = new ArrayList<>();
        PublishJob.Written again =
                PublishJob.write(Output.VIDEO, new PublishJob.Export(programme, media, out, true, DRAFT), told::add);
        assertThat(again.fresh()).isZero();
        assertThat(again.taken()).hasValueSatisfying(words -> assertThat(words).startsWith("0 % of the picture"));
        assertThat(told.stream().filter(share -> share > 0 && share < 1)).isEmpty();
        assertThat(Files.size(video)).isCloseTo(whole, within(whole / 50));
        assertThat(MediaInput.probe(video).length().seconds())
                .isCloseTo(programme.cut().total().seconds(), within(0.15));
    }

    @Test
    void thePracticeChannelTakesAWholePackageAndTellsWhatIsMissing() throws Exception {
        Path out = folder.resolve("package");
        Channel.Profile video = Channel.profiles().get(0);
        Files.createDirectories(out);
        Channel.Answer refused = Channel.submit(out, video, "", "2026-05-01");
        assertThat(refused.reasons()).hasSizeGreaterThan(3).anyMatch(r -> r.contains("title"));
        PublishJob.texts(programme, media, out, true);
        PublishJob.write(Output.VIDEO, new PublishJob.Export(programme, media, out, true, DRAFT), Progress.NONE);
        Channel.Answer answer = Channel.submit(out, video, "Small Beds", "2026-05-02");
        assertThat(answer.reasons()).isEmpty();
        JsonNode history = JsonMapper.builder()
                .build()
                .readTree(out.resolve("channel-history.json").toFile());
        assertThat(history).hasSize(2);
        assertThat(history.get(1).path("accepted").asBoolean()).isTrue();
        Channel.news(out, programme.cut().total(), List.of(), "2026-05-09", 3);
        assertThat(LogbookFile.retention(out).at(0)).isEqualTo(1);
    }

    @Test
    void aRecordingOrItsWordsInTheTargetFolderAreNeverWrittenOver() throws IOException {
        Path take = Files.copy(
                folder.resolve("take-1.mp4"),
                Files.createDirectory(folder.resolve("mixed")).resolve("video.mp4"));
        Workout.TakeRef named = Media.reference(take.getParent(), "take-1", take, 60, null, null);
        Workout workout = programme
                .workout()
                .withTakes(List.of(named), programme.workout().pins());
        WorkoutMedia mixed = WorkoutMedia.read(workout, take.getParent(), Progress.NONE);
        String before = Fingerprint.of(take);
        assertThatThrownBy(() -> PublishJob.write(
                        Output.VIDEO,
                        new PublishJob.Export(mixed.programme(workout), mixed, take.getParent(), true, DRAFT),
                        Progress.NONE))
                .hasMessageContaining("never written over");
        assertThat(Fingerprint.of(take)).isEqualTo(before);
    }

    @Test
    void aTextChangedByHandIsKeptBesideAndOurOwnIsReplaced() throws IOException {
        Path out = folder.resolve("hand");
        PublishJob.texts(programme, media, out, false);
        Path description = out.resolve("description.txt");
        Path chapters = out.resolve("chapters.txt");
        Files.writeString(description, "A much better description.");
        assertThat(PublishJob.inTheWay(List.of(Output.DESCRIPTION, Output.CHAPTER_LINES, Output.VIDEO), out))
                .containsExactly(new Replacing.InTheWay(description, true), new Replacing.InTheWay(chapters, false));
        PublishJob.texts(programme, media, out, true);
        assertThat(Files.readString(description)).contains("Small Beds");
        assertThat(beside(out, "yours")).singleElement().satisfies(f -> {
            assertThat(f.getFileName().toString()).startsWith("description (yours ");
            assertThat(f).hasContent("A much better description.");
        });
    }

    @Test
    void whatCannotBeWrittenLeavesTheHandWrittenFileInItsPlace() throws IOException {
        Path out = Files.createDirectories(folder.resolve("place"));
        Path mine = Files.writeString(out.resolve("video.mp4"), "not a video, but mine");
        assertThatThrownBy(() -> PublishJob.write(
                        Output.VIDEO, new PublishJob.Export(programme, media, out, true, DRAFT), share -> {
                            throw new CancellationException();
                        }))
                .isInstanceOf(CancellationException.class);
        assertThat(mine).hasContent("not a video, but mine");
        assertThat(beside(out, "yours")).isEmpty();
    }

    @Test
    void theFolderOfLayerPicturesKeepsWhatIsNotNosegays() throws IOException {
        Path out = folder.resolve("layers");
        Path layer = Files.createDirectories(out.resolve("layer"));
        Path mine = Files.writeString(layer.resolve("notes.txt"), "mine");
        Path clash = Files.writeString(layer.resolve("layer-0000000.png"), "also mine");
        PublishJob.write(
                Output.LAYER_PICTURES, new PublishJob.Export(programme, media, out, true, DRAFT), Progress.NONE);
        long pictures = pictures(layer);
        assertThat(pictures).isGreaterThan(10);
        PublishJob.write(
                Output.LAYER_PICTURES, new PublishJob.Export(programme, media, out, true, DRAFT), Progress.NONE);
        assertThat(pictures(layer)).as("the old ones went").isEqualTo(pictures);
        assertThat(mine).hasContent("mine");
        assertThat(beside(layer, "yours")).singleElement().satisfies(f -> assertThat(f)
                .hasContent("also mine"));
        assertThat(clash).isNotEmptyFile();
    }

    private static long pictures(Path layer) throws IOException {
        try (Stream<Path> files = Files.list(layer)) {
            return files.filter(f -> f.getFileName().toString().matches("layer-\\d+\\.png"))
                    .count();
        }
    }

    private static List<Path> beside(Path folder, String why) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> f.getFileName().toString().contains("(" + why + " "))
                    .toList();
        }
    }
}
