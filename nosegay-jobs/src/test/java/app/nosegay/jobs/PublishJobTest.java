package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.captions.TranscriptReader;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Style;
import app.nosegay.media.Ffmpeg;
import app.nosegay.media.FramePicker;
import app.nosegay.media.MediaInfo;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import app.nosegay.paint.PiecePainter;
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

    @TempDir
    private static Path folder;

    private static WorkoutMedia media;
    private static Programme programme;

    @BeforeAll
    static void film() throws IOException {
        SmallBeds filmed = SmallBeds.film(folder);
        media = filmed.media();
        programme = filmed.programme();
    }

    private static final Map<Output, PublishJob.Written> DRAFTS = new EnumMap<>(Output.class);

    /** An output of the programme as a draft, written once for all tests. */
    private static PublishJob.Written written(Output output) throws IOException {
        if (!DRAFTS.containsKey(output)) {
            DRAFTS.put(output, write(output, "out", DRAFT));
        }
        return DRAFTS.get(output);
    }

    private static Path draft(Output output) throws IOException {
        return written(output).file();
    }

    private static PublishJob.Written write(Output output, String into, PublishJob.Choices choices) throws IOException {
        PublishJob.Export export = new PublishJob.Export(programme, media, folder.resolve(into), true, choices);
        return PublishJob.write(output, export, Progress.NONE);
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
        assertThat(Files.readString(out.resolve("run-sheet.txt"))).isEqualTo(SmallBeds.SHEET);
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
            BufferedImage shown = finished.frameAt(Time.ofSeconds(16.4), SmallBeds.WIDTH, SmallBeds.HEIGHT);
            BufferedImage preview = source.frameAt(
                    programme.cut().clipAt(at).orElseThrow().sourceAt(at), SmallBeds.WIDTH, SmallBeds.HEIGHT);
            Graphics2D g = preview.createGraphics();
            new PiecePainter(Style.PRESSED).draw(programme.dressing().shown(at), g, SmallBeds.WIDTH, SmallBeds.HEIGHT);
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
        PublishJob.Written square = write(
                Output.VIDEO,
                "square",
                new PublishJob.Choices(PublishVideo.Shape.SQUARE, PublishVideo.Quality.DRAFT, DRAFT.template()));
        assertThat(MediaInput.probe(square.file()).video().shownWidth()).isEqualTo(SmallBeds.HEIGHT);
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
            assertThat(image.getRGB(SmallBeds.WIDTH / 2, SmallBeds.HEIGHT / 2) >>> 24)
                    .isZero();
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
        assertThat(alpha.getRGB(SmallBeds.WIDTH / 2, SmallBeds.HEIGHT / 2) & 0xff)
                .as("nothing lies over the middle")
                .isLessThan(8);
        int opaque = 0;
        for (int x = 0; x < SmallBeds.WIDTH; x++) {
            for (int y = 0; y < SmallBeds.HEIGHT; y++) {
                opaque += (alpha.getRGB(x, y) & 0xff) > 200 ? 1 : 0;
            }
        }
        assertThat(opaque / (double) (SmallBeds.WIDTH * SmallBeds.HEIGHT))
                .as("pieces")
                .isBetween(0.02, 0.4);
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
        PublishJob.Written first = written(Output.VIDEO);
        assertThat(first.fresh()).isEqualTo(1);
        assertThat(first.taken()).isEmpty();
        Path video = first.file();
        long whole = Files.size(video);
        try (var kept = Files.list(folder.resolve(".nosegay"))) {
            assertThat(kept.map(p -> p.getFileName().toString())).anyMatch(name -> name.endsWith(".parts"));
        }
        // Pictures are neither decoded nor encoded the second time: progress is told by the picture alone.
        List<Double> told = new ArrayList<>();
        PublishJob.Export export = new PublishJob.Export(programme, media, video.getParent(), true, DRAFT);
        PublishJob.Written again = PublishJob.write(Output.VIDEO, export, told::add);
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
        Path film = draft(Output.VIDEO);
        Files.copy(film, out.resolve(film.getFileName()));
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
}
