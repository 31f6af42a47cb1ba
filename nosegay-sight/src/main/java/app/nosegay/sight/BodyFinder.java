package app.nosegay.sight;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Joint;
import java.util.ArrayList;
import java.util.List;

/**
 * Follows everybody through the pictures of a take. A person is looked for in the whole picture and in windows of it, then followed
 * from one picture to the next by where the joints were; whoever is lost is looked for where they were last, also lying down. Not
 * thread-safe.
 */
public final class BodyFinder implements AutoCloseable {
    /** More people than this are a crowd, and nobody's presenters. */
    private static final int MOST = 6;

    /** Followed while the network is this sure that somebody is there. */
    private static final double PRESENT = 0.5;

    private static final double LEAST_SCORE = 0.3;
    /** In windows people are larger, and finds surer than they seem. */
    private static final double LEAST_SCORE_IN_WINDOW = 0.2;

    /** Windows of this share of the height, their middle this far down: people stand on the floor. */
    private static final double WINDOW = 0.8;

    private static final double WINDOW_MIDDLE = 0.6;
    private static final int WINDOWS = 5;
    /** Between looks for somebody new, in seconds: in the whole picture, and in its windows while somebody is followed. */
    private static final double LOOK_EVERY = 2;

    private static final double WINDOWS_EVERY = 10;
    /** Whoever is not found is tried again where they were, so long, in seconds. */
    private static final double TRIED_AGAIN = 0.5;
    /** Whoever is lost may be lying on the floor: looked for there so long, in seconds. */
    private static final double LYING_FOR = 20;
    /** Bodies reach from their hips by this share of the picture's height, at least and at most. */
    private static final double LEAST_REACH = 0.06;

    private static final double MOST_REACH = 1.2;
    /** Two bodies whose hips and noses are nearer than this share of their reach are one. */
    private static final double SAME = 0.35;
    /** Shoulders and hips are sure by this on average, or it is no body. */
    private static final double TRUNK_SURE = 0.4;

    private static final List<Joint> TRUNK =
            List.of(Joint.LEFT_SHOULDER, Joint.RIGHT_SHOULDER, Joint.LEFT_HIP, Joint.RIGHT_HIP);

    /** Where nothing moves the last look stands, so many pictures in a row at most. */
    private static final int MOST_STILL = 3;
    /** Brightness of one pixel in so many each way is compared, and may change by this on average where nothing moves. */
    private static final int STILL_STEP = 6;

    private static final double STILL = 0.35;

    /** A body that lies in the frame of a larger one by this share of its joints is a part of it that was taken for a body. */
    private static final double PART = 0.75;

    private static final double NEVER = -1e9;

    private final double hz;
    private final PersonDetector detector = new PersonDetector();
    private final LandmarkNetwork landmarks = new LandmarkNetwork();
    private final List<Followed> live = new ArrayList<>();
    private final List<Followed> ended = new ArrayList<>();
    private int samples;
    private double shape = 1;
    private double lastLook = NEVER;
    private double lastWindows = NEVER;
    private Picture last;
    private int still;

    /**
     * Begins with the picture of one sample of a take.
     *
     * @param hz pictures per second
     */
    public BodyFinder(double hz, int first) {
        this.hz = hz;
        samples = first;
    }

    /** Looks at the next picture. */
    public void see(Picture picture) {
        shape = picture.width() / (double) picture.height();
        double now = samples / hz;
        if (isStill(picture)) {
            still++;
            live.forEach(f -> f.stay(samples));
        } else {
            still = 0;
            follow(picture);
            lookForOthers(picture, now);
            last = picture;
        }
        samples++;
    }

    /** Whether the picture is that of before, so that everybody is where they were. */
    private boolean isStill(Picture picture) {
        if (last == null || still >= MOST_STILL || last.rgb().length != picture.rgb().length) {
            return false;
        }
        long changed = 0;
        int compared = 0;
        for (int y = 0; y < picture.height(); y += STILL_STEP) {
            for (int x = 0; x < picture.width(); x += STILL_STEP) {
                int at = (y * picture.width() + x) * 3 + 1;
                changed += Math.abs((picture.rgb()[at] & 0xff) - (last.rgb()[at] & 0xff));
                compared++;
            }
        }
        return changed < STILL * compared && live.stream().allMatch(f -> f.missed() == 0);
    }

    private void follow(Picture picture) {
        for (Followed f : List.copyOf(live)) {
            Pose pose = landmarks.look(picture, f.pose().crop());
            if (isBody(pose, picture) && f.isAsLarge(pose)) {
                f.add(samples, pose, picture.height());
            } else if (f.miss() > TRIED_AGAIN * hz) {
                live.remove(f);
                ended.add(f);
                lastLook = NEVER;
                lastWindows = NEVER;
            }
        }
        // Of two that have come to follow one body the larger goes on, of equal ones the one followed for longer.
        for (Followed f : List.copyOf(live)) {
            if (live.stream().anyMatch(other -> other != f && isWithin(f, other))) {
                live.remove(f);
                ended.add(f.cutTo(samples));
            }
        }
    }

    private static boolean isWithin(Followed f, Followed other) {
        return isSame(f.pose(), other.pose())
                ? f.first() > other.first()
                : f.pose().isPartOf(other.pose(), PART);
    }

    private void lookForOthers(Picture picture, double now) {
        if (now - lastLook < LOOK_EVERY || live.size() >= MOST) {
            return;
        }
        lastLook = now;
        double side = Math.max(picture.width(), picture.height());
        Crop whole = new Crop(picture.width() / 2.0, picture.height() / 2.0, side, 0);
        List<PersonDetector.Find> finds = new ArrayList<>(detector.find(picture, whole, LEAST_SCORE));
        if (live.isEmpty() || now - lastWindows >= WINDOWS_EVERY) {
            lastWindows = now;
            double edge = WINDOW * picture.height();
            double room = Math.max(0, picture.width() - edge);
            for (int w = 0; w < WINDOWS; w++) {
                double x = room == 0 ? picture.width() / 2.0 : edge / 2 + room * w / (WINDOWS - 1);
                Crop window = new Crop(x, WINDOW_MIDDLE * picture.height(), edge, 0);
                finds.addAll(detector.find(picture, window, LEAST_SCORE_IN_WINDOW));
            }
        }
        if (live.isEmpty() && finds.isEmpty()) {
            // Whoever lies stands in a picture that is turned.
            finds.addAll(detector.find(picture, whole.turnedBy(Math.PI / 2), LEAST_SCORE));
            finds.addAll(detector.find(picture, whole.turnedBy(-Math.PI / 2), LEAST_SCORE));
        }
        for (PersonDetector.Find f : PersonDetector.distinct(finds)) {
            boolean known = live.stream().anyMatch(l -> isNear(l.pose(), f));
            if (!known) {
                begin(picture, f.crop());
            }
        }
        for (Followed f : ended) {
            boolean lately = samples - f.end() < LYING_FOR * hz && samples > f.end();
            if (lately && live.size() < MOST && !begin(picture, f.pose().crop().turnedBy(Math.PI / 2))) {
                begin(picture, f.pose().crop().turnedBy(-Math.PI / 2));
            }
        }
    }

    private static boolean isNear(Pose pose, PersonDetector.Find find) {
        double near = SAME * Math.max(pose.reach(), find.reach());
        return Math.hypot(pose.hipX() - find.hipX(), pose.hipY() - find.hipY()) < near;
    }

    private static boolean isSame(Pose a, Pose b) {
        double near = SAME * Math.min(a.reach(), b.reach());
        return Math.hypot(a.hipX() - b.hipX(), a.hipY() - b.hipY()) < near
                && Math.hypot(a.x(Joint.NOSE) - b.x(Joint.NOSE), a.y(Joint.NOSE) - b.y(Joint.NOSE)) < near;
    }

    /** Follows whoever is in a crop; looked at twice, as the first crop is a guess. */
    private boolean begin(Picture picture, Crop crop) {
        Pose first = landmarks.look(picture, crop);
        if (!isBody(first, picture)) {
            return false;
        }
        Pose pose = landmarks.look(picture, first.crop());
        boolean known = live.stream().anyMatch(l -> isSame(l.pose(), pose) || pose.isPartOf(l.pose(), PART));
        if (known || !isBody(pose, picture)) {
            return false;
        }
        Followed f = new Followed();
        f.add(samples, pose, picture.height());
        live.add(f);
        return true;
    }

    private static boolean isBody(Pose pose, Picture picture) {
        double reach = pose.reach() / picture.height();
        boolean inside = pose.hipX() > -0.1 * picture.width()
                && pose.hipX() < 1.1 * picture.width()
                && pose.hipY() > -0.1 * picture.height()
                && pose.hipY() < 1.1 * picture.height();
        double sure = TRUNK.stream().mapToDouble(pose::sure).average().orElse(0);
        return pose.present() >= PRESENT && inside && reach > LEAST_REACH && reach < MOST_REACH && sure > TRUNK_SURE;
    }

    /** Everybody who was seen in pictures looked at by {@code finders}, which have one stretch each of the same take, in its order. */
    public static Bodies found(List<BodyFinder> finders) {
        List<Followed> all = new ArrayList<>();
        for (BodyFinder f : finders) {
            all.addAll(f.ended);
            all.addAll(f.live);
        }
        return finders.isEmpty() ? Bodies.NONE : People.of(all, finders.get(0).hz, finders.get(0).shape);
    }

    @Override
    public void close() {
        detector.close();
        landmarks.close();
    }
}
