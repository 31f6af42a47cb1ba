package app.nosegay.publish;

import app.nosegay.cut.Cut;
import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Map;
import java.util.Optional;

/** The cut as OpenTimelineIO JSON (schemas Timeline.1, Stack.1, Track.1, Clip.1, Marker.2), for people who go on elsewhere. */
public final class CutList {
    private CutList() {}

    /**
     * The cut with a marker per segment.
     *
     * @param files the takes' files by id, as they are to be found from where the list is put
     * @param seconds the takes' lengths by id
     * @param framesPerSecond the rate all times are given in
     */
    public static ObjectNode of(
            Timeline timeline,
            Match match,
            Cut cut,
            Map<String, String> files,
            Map<String, Double> seconds,
            double framesPerSecond) {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("OTIO_SCHEMA", "Timeline.1");
        root.put("name", timeline.sheet().header().title());
        root.putObject("metadata")
                .putObject("nosegay")
                .put("plannedSeconds", timeline.total().seconds());
        root.putNull("global_start_time");
        ObjectNode stack = root.putObject("tracks");
        stack.put("OTIO_SCHEMA", "Stack.1").put("name", "tracks");
        stack.putObject("metadata");
        stack.putNull("source_range");
        stack.putArray("effects");
        stack.putArray("markers");
        ArrayNode tracks = stack.putArray("children");
        for (String kind : new String[] {"Video", "Audio"}) {
            ObjectNode track = tracks.addObject();
            track.put("OTIO_SCHEMA", "Track.1").put("name", kind).put("kind", kind);
            track.putObject("metadata");
            track.putNull("source_range");
            track.putArray("effects");
            ArrayNode markers = track.putArray("markers");
            if (kind.equals("Video")) {
                markers(markers, timeline, match, cut, framesPerSecond);
            }
            ArrayNode clips = track.putArray("children");
            for (Cut.Clip c : cut.clips()) {
                Cut.Clip of = kind.equals("Video") ? c.picture() : c;
                clip(
                        clips.addObject(),
                        of,
                        files.get(of.take()),
                        seconds.getOrDefault(of.take(), 0.0),
                        framesPerSecond);
                if (c.hold().isPositive()) {
                    gap(clips.addObject(), c.hold(), framesPerSecond);
                }
            }
        }
        return root;
    }

    private static void markers(ArrayNode markers, Timeline timeline, Match match, Cut cut, double rate) {
        for (Segment s : timeline.segments()) {
            Optional<Span<Axis.Cut>> at = match.segment(s.id()).flatMap(cut::shown);
            if (at.isPresent()) {
                ObjectNode marker = markers.addObject();
                marker.put("OTIO_SCHEMA", "Marker.2")
                        .put("name", s.id())
                        .put("color", "GREEN")
                        .put("comment", "");
                marker.putObject("metadata")
                        .putObject("nosegay")
                        .put("kind", s.kind().word());
                range(
                        marker.putObject("marked_range"),
                        at.get().start().seconds(),
                        at.get().length(),
                        rate);
            }
        }
    }

    private static void clip(ObjectNode node, Cut.Clip c, String file, double takeSeconds, double rate) {
        node.put("OTIO_SCHEMA", "Clip.1").put("name", c.take());
        node.putObject("metadata");
        range(
                node.putObject("source_range"),
                c.source().start().seconds(),
                c.source().length(),
                rate);
        node.putArray("effects");
        node.putArray("markers");
        ObjectNode media = node.putObject("media_reference");
        media.put("OTIO_SCHEMA", "ExternalReference.1").put("name", c.take()).put("target_url", file);
        media.putObject("metadata");
        range(media.putObject("available_range"), 0, Length.ofSeconds(takeSeconds), rate);
    }

    /** A held picture has no source: it is left as a gap. */
    private static void gap(ObjectNode node, Length hold, double rate) {
        node.put("OTIO_SCHEMA", "Gap.1").put("name", "hold");
        node.putObject("metadata");
        range(node.putObject("source_range"), 0, hold, rate);
        node.putArray("effects");
        node.putArray("markers");
    }

    private static void range(ObjectNode node, double start, Length length, double rate) {
        node.put("OTIO_SCHEMA", "TimeRange.1");
        time(node.putObject("start_time"), start, rate);
        // Ends are rounded, not lengths, so that rounding does not add up over the clips.
        double frames = Math.round((start + length.seconds()) * rate) - Math.round(start * rate);
        node.putObject("duration")
                .put("OTIO_SCHEMA", "RationalTime.1")
                .put("rate", rate)
                .put("value", frames);
    }

    private static void time(ObjectNode node, double seconds, double rate) {
        node.put("OTIO_SCHEMA", "RationalTime.1").put("rate", rate).put("value", (double) Math.round(seconds * rate));
    }
}
