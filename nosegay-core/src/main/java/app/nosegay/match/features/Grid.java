package app.nosegay.match.features;

/** The grid of moments the matcher works on, {@link MatchWeights#GRID_SECONDS} apart. */
public final class Grid {
    private Grid() {}

    /** Raises {@code to} around a moment, at most by {@code weight}. */
    static void bump(float[] to, double seconds, double sigma, double weight) {
        int reach = (int) Math.ceil(3 * sigma / MatchWeights.GRID_SECONDS);
        int centre = bin(seconds);
        for (int b = Math.max(0, centre - reach); b <= Math.min(to.length - 1, centre + reach); b++) {
            double off = (b * MatchWeights.GRID_SECONDS - seconds) / sigma;
            to[b] = (float) Math.max(to[b], weight * Math.exp(-0.5 * off * off));
        }
    }

    public static int bin(double seconds) {
        return (int) Math.round(seconds / MatchWeights.GRID_SECONDS);
    }
}
