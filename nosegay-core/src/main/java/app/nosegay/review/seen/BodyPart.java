package app.nosegay.review.seen;

import app.nosegay.evidence.Joint;
import java.util.List;

/** What may leave a picture before the rest of a body does. */
enum BodyPart {
    HEAD(List.of(Joint.NOSE)),
    HANDS(List.of(Joint.LEFT_WRIST, Joint.RIGHT_WRIST)),
    FEET(List.of(Joint.LEFT_ANKLE, Joint.RIGHT_ANKLE));

    private final List<Joint> joints;

    BodyPart(List<Joint> joints) {
        this.joints = joints;
    }

    List<Joint> joints() {
        return joints;
    }
}
