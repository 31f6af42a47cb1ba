package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avdevice.*;
import static org.bytedeco.ffmpeg.global.avformat.av_find_input_format;

import java.util.ArrayList;
import java.util.List;
import org.bytedeco.ffmpeg.avdevice.AVDeviceInfoList;
import org.bytedeco.ffmpeg.avformat.AVInputFormat;
import org.bytedeco.ffmpeg.avutil.AVDictionary;

/**
 * A camera or a microphone as FFmpeg's device inputs know it.
 *
 * @param format the input's format: v4l2, alsa, pulse, dshow, avfoundation, lavfi
 * @param name what the format calls it
 * @param label what people call it
 */
public record Device(String format, String name, String label) {
    private static final List<String> CAMERAS = List.of("v4l2", "dshow", "avfoundation");
    private static final List<String> MICROPHONES = List.of("pulse", "alsa", "dshow", "avfoundation");

    /** Whether devices can be reached at all: FFmpeg's part for them needs the system's sound libraries, which a bare machine lacks. */
    private static boolean reachable() {
        try {
            avdevice_register_all();
            return true;
        } catch (LinkageError e) {
            return false;
        }
    }

    AVInputFormat input() {
        if (!reachable()) {
            return null;
        }
        AVInputFormat found = av_find_input_format(format);
        return found == null || found.isNull() ? null : found;
    }

    /** FFmpeg's own test picture and tone: to try a recording without any device. */
    public static Device testPicture(int width, int height) {
        return new Device(
                "lavfi",
                "testsrc2=size=" + width + "x" + height + ":rate=30[out0];sine=frequency=440:sample_rate=48000[out1]",
                MediaText.of("device.test-picture-and-tone"));
    }

    /** The cameras that are there. */
    public static List<Device> cameras() {
        return listed(CAMERAS);
    }

    /** The microphones that are there. */
    public static List<Device> microphones() {
        return listed(MICROPHONES);
    }

    private static List<Device> listed(List<String> formats) {
        List<Device> devices = new ArrayList<>();
        if (!reachable()) {
            return devices;
        }
        for (String format : formats) {
            AVInputFormat input = av_find_input_format(format);
            if (input == null || input.isNull()) {
                continue;
            }
            AVDeviceInfoList list = new AVDeviceInfoList(null);
            if (avdevice_list_input_sources(input, (String) null, (AVDictionary) null, list) >= 0 && !list.isNull()) {
                for (int i = 0; i < list.nb_devices(); i++) {
                    String name = list.devices(i).device_name().getString();
                    devices.add(new Device(
                            format, name, list.devices(i).device_description().getString()));
                }
                avdevice_free_list_devices(list);
            }
        }
        return devices;
    }
}
