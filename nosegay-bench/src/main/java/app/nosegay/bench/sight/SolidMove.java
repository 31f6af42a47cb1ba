package app.nosegay.bench.sight;

/** A movement: where the angles are at a phase from 0 to 1, on a side (0 left, 1 right). */
enum SolidMove {
    SQUAT("squat", false, 0.5),
    REVERSE_LUNGE("reverse lunge", true, 1.1),
    SINGLE_ARM_PRESS("single-arm press", true, 0.2),
    SINGLE_ARM_ROW("single-arm row", true, 1.0),
    BICEPS_CURL("biceps curl", false, 0.4),
    LATERAL_RAISE("lateral raise", false, 0),
    HINGE("hip hinge", false, 1.3),
    MARCH("march in place", false, 0.3),
    SIDE_LEG_RAISE("standing side leg raise", true, 0),
    PUSH_UP("push-up", false, 1.45),
    SIT_UP("sit-up", false, 1.4);

    final String move;
    final boolean sided;
    final double yaw;

    SolidMove(String move, boolean sided, double yaw) {
        this.move = move;
        this.sided = sided;
        this.yaw = yaw;
    }

    boolean isAlternate() {
        return this == MARCH;
    }

    /** Moves in which the trunk is not upright. */
    private void folded(Mannequin.Angles a, double phase, int side) {
        switch (this) {
            case SINGLE_ARM_ROW -> {
                a.lean = 1.0;
                for (int s = 0; s < 2; s++) {
                    a.hip[s] = 0.1;
                    a.knee[s] = 0.45;
                    a.shoulder[s] = 0.1;
                    a.elbow[s] = 0.1;
                }
                a.shoulder[side] = 0.1 - phase;
                a.elbow[side] = 0.1 + 1.6 * phase;
            }
            case HINGE -> {
                a.lean = 1.2 * phase;
                for (int s = 0; s < 2; s++) {
                    a.hip[s] = -0.1 * phase;
                    a.knee[s] = 0.35 * phase;
                    a.shoulder[s] = 0.1;
                }
            }
            case PUSH_UP -> {
                a.tip = 1.57 - 0.3 * (1 - 0.8 * phase);
                for (int s = 0; s < 2; s++) {
                    a.shoulder[s] = 1.35 - 1.1 * phase;
                    a.elbow[s] = 0.1 + 1.25 * phase;
                    a.shoulderOut[s] = 0.2 + 0.3 * phase;
                }
            }
            default -> {
                a.tip = -1.57;
                a.lean = 0.9 * phase;
                for (int s = 0; s < 2; s++) {
                    a.hip[s] = 0.9;
                    a.knee[s] = 1.9;
                    a.shoulder[s] = 0.9;
                    a.elbow[s] = 1.2;
                }
            }
        }
    }

    void at(Mannequin.Angles a, double phase, int side) {
        int other = 1 - side;
        switch (this) {
            case SQUAT -> {
                a.lean = 0.55 * phase;
                for (int s = 0; s < 2; s++) {
                    a.hip[s] = 1.45 * phase;
                    a.knee[s] = 1.9 * phase;
                    a.shoulder[s] += 1.2 * phase;
                }
            }
            case REVERSE_LUNGE -> {
                a.hip[side] = -0.35 * phase;
                a.knee[side] = 1.2 * phase;
                a.hip[other] = 1.2 * phase;
                a.knee[other] = 1.3 * phase;
            }
            case SINGLE_ARM_PRESS -> {
                a.shoulder[side] = 0.6 + 2.4 * phase;
                a.elbow[side] = 2.2 - 2.1 * phase;
            }
            case BICEPS_CURL -> {
                a.elbow[0] = 0.2 + 2.1 * phase;
                a.elbow[1] = 0.2 + 2.1 * phase;
            }
            case LATERAL_RAISE -> {
                a.shoulderOut[0] = 0.14 + 1.4 * phase;
                a.shoulderOut[1] = 0.14 + 1.4 * phase;
            }
            case MARCH -> {
                a.hip[side] = 1.5 * phase;
                a.knee[side] = 1.6 * phase;
                a.shoulder[other] += 0.6 * phase;
                a.elbow[0] = 1.2;
                a.elbow[1] = 1.2;
            }
            case SIDE_LEG_RAISE -> a.hipOut[side] = 0.06 + 0.75 * phase;
            default -> folded(a, phase, side);
        }
    }
}
