package app.nosegay.time;

/** What a {@link Time} is measured along. The types have no values: they only keep the axes apart at compile time. */
public sealed interface Axis permits Axis.Plan, Axis.Take, Axis.Cut, Axis.Clock {
    /** The timeline: 0 is the first planned instant. */
    final class Plan implements Axis {
        private Plan() {}
    }

    /** One recording: 0 is the container's start time. */
    final class Take implements Axis {
        private Take() {}
    }

    /** The finished programme: 0 is its first frame. */
    final class Cut implements Axis {
        private Cut() {}
    }

    /** The shoot clock: 0 is the first sample of its first sync tone. */
    final class Clock implements Axis {
        private Clock() {}
    }
}
