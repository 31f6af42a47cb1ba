package app.nosegay.desktop.dress;

import app.nosegay.plan.Interval;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;

/** An interval at its place in the programme. */
record Stretch(Interval interval, Span<Axis.Cut> span) {}
