package app.nosegay.evidence.sound;

import app.nosegay.evidence.Trace;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.FloatBuffer;
import java.util.Arrays;

/**
 * How likely somebody speaks, 31.25 times a second, also under music: the network of Silero VAD, version 6, for 16 kHz (its weights beside
 * this class, under the MIT licence), computed in plain Java. Every 32 ms are judged with the 4 ms before them and what was heard earlier.
 */
public final class VoiceListener {
    /** What the network was trained on. */
    public static final int HZ = 16_000;

    private static final int STEP = 512;
    private static final int BEFORE = 64;
    private static final int WINDOW = 256;
    private static final int HOP = 128;
    private static final int FRAMES = 4;
    private static final int BINS = 129;
    private static final int CELLS = 128;
    private static final int KERNEL = 3;

    private static final Weights WEIGHTS = Weights.shipped();

    private final float[] input = new float[BEFORE + STEP + BEFORE];
    private final float[] spectrum = new float[2 * BINS];
    private final float[][] magnitudes = new float[FRAMES][BINS];
    private final float[] hidden = new float[CELLS];
    private final float[] cell = new float[CELLS];
    private final float[] gates = new float[4 * CELLS];
    private float[] voice = new float[1024];
    private int count;
    private int filled;

    /** The next {@code n} samples of the sound, between −1 and 1. */
    public void listen(float[] samples, int n) {
        listen(samples, 0, n);
    }

    /** The next samples of the sound: those of {@code samples} from one place to another. */
    public void listen(float[] samples, int from, int to) {
        for (int i = from; i < to; ) {
            int more = Math.min(STEP - filled, to - i);
            System.arraycopy(samples, i, input, BEFORE + filled, more);
            filled += more;
            i += more;
            if (filled == STEP) {
                judge();
            }
        }
    }

    /** How likely somebody speaks, so far; what is left of the last 32 ms is taken to go on in silence. */
    public Trace finish() {
        if (filled > 0) {
            Arrays.fill(input, BEFORE + filled, BEFORE + STEP, 0);
            judge();
        }
        return new Trace(HZ / (double) STEP, Arrays.copyOf(voice, count));
    }

    private void judge() {
        int end = BEFORE + STEP;
        for (int i = 0; i < BEFORE; i++) {
            input[end + i] = input[end - 2 - i]; // mirrored at its end
        }
        for (int f = 0; f < FRAMES; f++) {
            Arrays.fill(spectrum, 0);
            for (int i = 0; i < WINDOW; i++) {
                add(spectrum, WEIGHTS.basis[i], input[f * HOP + i]);
            }
            for (int b = 0; b < BINS; b++) {
                float re = spectrum[b];
                float im = spectrum[BINS + b];
                magnitudes[f][b] = (float) Math.sqrt(re * re + im * im);
            }
        }
        float[][] x = magnitudes;
        for (Layer layer : WEIGHTS.layers) {
            x = layer.of(x);
        }
        remember(x[0]);
        float sum = WEIGHTS.outBias;
        for (int i = 0; i < CELLS; i++) {
            sum += Math.max(0, hidden[i]) * WEIGHTS.out[i];
        }
        voice = count < voice.length ? voice : Arrays.copyOf(voice, 2 * count);
        voice[count++] = sigmoid(sum);
        System.arraycopy(input, STEP, input, 0, BEFORE);
        filled = 0;
    }

    /** A step of the memory (long short-term memory, gates in the order in, forget, cell, out). */
    private void remember(float[] x) {
        System.arraycopy(WEIGHTS.gateBias, 0, gates, 0, gates.length);
        for (int i = 0; i < CELLS; i++) {
            add(gates, WEIGHTS.gatesOfInput[i], x[i]);
            add(gates, WEIGHTS.gatesOfHidden[i], hidden[i]);
        }
        for (int i = 0; i < CELLS; i++) {
            float in = sigmoid(gates[i]);
            float forget = sigmoid(gates[CELLS + i]);
            float fresh = (float) Math.tanh(gates[2 * CELLS + i]);
            cell[i] = forget * cell[i] + in * fresh;
            hidden[i] = sigmoid(gates[3 * CELLS + i]) * (float) Math.tanh(cell[i]);
        }
    }

    private static float sigmoid(float x) {
        return (float) (1 / (1 + Math.exp(-x)));
    }

    /** {@code to} += {@code column} · {@code by}: written so that several are done at once. */
    private static void add(float[] to, float[] column, float by) {
        for (int i = 0; i < to.length; i++) {
            to[i] += column[i] * by;
        }
    }

    /** A convolution over time with its rectifier: one column of outputs for each input and place in the kernel. */
    private record Layer(float[][][] columns, float[] bias, int stride) {
        float[][] of(float[][] x) {
            float[][] y = new float[(x.length + stride - 1) / stride][];
            for (int t = 0; t < y.length; t++) {
                y[t] = bias.clone();
                for (int k = 0; k < KERNEL; k++) {
                    int from = t * stride + k - 1;
                    for (int i = 0; from >= 0 && from < x.length && i < columns[k].length; i++) {
                        add(y[t], columns[k][i], x[from][i]);
                    }
                }
                for (int o = 0; o < y[t].length; o++) {
                    y[t][o] = Math.max(0, y[t][o]);
                }
            }
            return y;
        }
    }

    /** The trained numbers, turned so that what is added to neighbouring outputs lies side by side. */
    private record Weights(
            float[][] basis,
            Layer[] layers,
            float[][] gatesOfInput,
            float[][] gatesOfHidden,
            float[] gateBias,
            float[] out,
            float outBias) {
        static Weights shipped() {
            try (InputStream in = VoiceListener.class.getResourceAsStream("voice.weights");
                    DataInputStream data = new DataInputStream(in)) {
                FloatBuffer f = ByteBuffer.wrap(data.readAllBytes())
                        .order(ByteOrder.LITTLE_ENDIAN)
                        .asFloatBuffer();
                float[][] basis = columns(f, 2 * BINS, WINDOW);
                Layer[] layers = {
                    layer(f, 128, BINS, 1), layer(f, 64, 128, 2), layer(f, 64, 64, 2), layer(f, CELLS, 64, 1)
                };
                float[][] ofInput = columns(f, 4 * CELLS, CELLS);
                float[][] ofHidden = columns(f, 4 * CELLS, CELLS);
                float[] bias = numbers(f, 4 * CELLS);
                float[] more = numbers(f, 4 * CELLS);
                for (int i = 0; i < bias.length; i++) {
                    bias[i] += more[i];
                }
                return new Weights(basis, layers, ofInput, ofHidden, bias, numbers(f, CELLS), f.get());
            } catch (IOException e) {
                throw new UncheckedIOException("the shipped voice model cannot be read", e);
            }
        }

        private static float[] numbers(FloatBuffer f, int n) {
            float[] numbers = new float[n];
            f.get(numbers);
            return numbers;
        }

        /** A matrix of {@code rows} by {@code columns}, given row by row, as its columns. */
        private static float[][] columns(FloatBuffer f, int rows, int columns) {
            float[][] turned = new float[columns][rows];
            for (int r = 0; r < rows; r++) {
                for (int c = 0; c < columns; c++) {
                    turned[c][r] = f.get();
                }
            }
            return turned;
        }

        private static Layer layer(FloatBuffer f, int outputs, int inputs, int stride) {
            float[][][] columns = new float[KERNEL][inputs][outputs];
            for (int o = 0; o < outputs; o++) {
                for (int i = 0; i < inputs; i++) {
                    for (int k = 0; k < KERNEL; k++) {
                        columns[k][i][o] = f.get();
                    }
                }
            }
            return new Layer(columns, numbers(f, outputs), stride);
        }
    }
}
