package app.nosegay.sight;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.Pointer;
import org.bytedeco.tensorflowlite.BuiltinOpResolver;
import org.bytedeco.tensorflowlite.BuiltinOpResolverWithoutDefaultDelegates;
import org.bytedeco.tensorflowlite.FlatBufferModel;
import org.bytedeco.tensorflowlite.Interpreter;
import org.bytedeco.tensorflowlite.InterpreterBuilder;

/**
 * A shipped network, run on one thread. It is opened through the C++ interface of TensorFlow Lite, which uses its fast kernels
 * (XNNPACK); the C interface leaves them off without a word. Not thread-safe.
 */
final class Network implements AutoCloseable {
    private static final int OK = 0;

    /** All of these are used until the network is closed: the collector must not take them earlier. */
    private final BytePointer bytes;

    private final FlatBufferModel model;
    private final BuiltinOpResolver resolver;
    private final InterpreterBuilder builder;
    private final Interpreter interpreter;

    /** Opens the network {@code name} that stands beside this class. */
    Network(String name) {
        this(name, true);
    }

    /** The same with or without the fast kernels. */
    Network(String name, boolean fast) {
        byte[] read = read(name);
        bytes = new BytePointer(read);
        model = FlatBufferModel.BuildFromBuffer(bytes, read.length);
        if (model == null || model.isNull()) {
            throw new IllegalStateException(name);
        }
        resolver = fast ? new BuiltinOpResolver() : new BuiltinOpResolverWithoutDefaultDelegates();
        builder = new InterpreterBuilder(model, resolver);
        interpreter = new Interpreter((Pointer) null);
        check(builder.SetNumThreads(1), name);
        check(builder.apply(interpreter), name);
        check(interpreter.AllocateTensors(), name);
    }

    private static byte[] read(String name) {
        try (InputStream in = Network.class.getResourceAsStream(name)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void check(int status, String what) {
        if (status != OK) {
            throw new IllegalStateException(what + ": " + status);
        }
    }

    void run(float[] input) {
        interpreter.typed_input_tensor_float(0).put(input, 0, input.length);
        check(interpreter.Invoke(), "run");
    }

    /** Reads the first values of an output. */
    void output(int index, float[] into) {
        FloatPointer values = interpreter.typed_output_tensor_float(index);
        values.get(into, 0, into.length);
    }

    @Override
    public void close() {
        interpreter.close();
        builder.close();
        resolver.close();
        model.close();
        bytes.close();
    }
}
