package app.nosegay.bench.faults;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/** What happens to files: cut off, damaged, doubled, edited by hand, or made to do harm. */
enum Mutation {
    FLIP_BYTES {
        @Override
        byte[] of(byte[] file, Random random) {
            byte[] out = file.clone();
            for (int i = 0; i <= random.nextInt(20); i++) {
                out[random.nextInt(out.length)] = (byte) random.nextInt(256);
            }
            return out;
        }
    },
    CUT_OFF {
        @Override
        byte[] of(byte[] file, Random random) {
            return Arrays.copyOf(file, random.nextInt(file.length));
        }
    },
    DOUBLE_A_PART {
        @Override
        byte[] of(byte[] file, Random random) {
            int from = random.nextInt(file.length);
            int to = from + random.nextInt(file.length - from);
            int times = 1 + random.nextInt(random.nextInt(10) == 0 ? 400 : 4);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            out.write(file, 0, to);
            for (int i = 0; i < times && out.size() < MOST_BYTES; i++) {
                out.write(file, from, to - from);
            }
            out.write(file, to, file.length - to);
            return out.toByteArray();
        }
    },
    LEAVE_OUT_A_PART {
        @Override
        byte[] of(byte[] file, Random random) {
            int from = random.nextInt(file.length);
            int to = from + random.nextInt(file.length - from);
            byte[] out = Arrays.copyOf(file, file.length - (to - from));
            System.arraycopy(file, to, out, from, file.length - to);
            return out;
        }
    },
    ODD_NUMBERS {
        @Override
        byte[] of(byte[] file, Random random) {
            String text = new String(file, StandardCharsets.ISO_8859_1);
            long numbers = NUMBER.matcher(text).results().count();
            long hit = numbers == 0 ? 0 : random.nextLong(numbers);
            boolean many = random.nextInt(4) == 0;
            long[] n = {0};
            return NUMBER.matcher(text)
                    .replaceAll((MatchResult m) -> n[0]++ == hit || many && random.nextInt(6) == 0
                            ? ODD[random.nextInt(ODD.length)]
                            : m.group())
                    .getBytes(StandardCharsets.ISO_8859_1);
        }
    },
    NEST_DEEPLY {
        @Override
        byte[] of(byte[] file, Random random) {
            String text = new String(file, StandardCharsets.ISO_8859_1);
            int at = random.nextInt(text.length());
            int deep = 1 << 4 + random.nextInt(12);
            String nest = random.nextBoolean()
                    ? "[".repeat(deep) + "]".repeat(deep)
                    : "{\"a\":".repeat(deep) + "1" + "}".repeat(deep);
            int colon = text.indexOf(": ", at);
            int end = colon < 0 ? -1 : text.indexOf('\n', colon);
            String out = end < 0
                    ? text.substring(0, at) + nest + text.substring(at)
                    : text.substring(0, colon + 2) + nest + "," + text.substring(end);
            return out.getBytes(StandardCharsets.ISO_8859_1);
        }
    },
    STRANGE_LETTERS {
        @Override
        byte[] of(byte[] file, Random random) {
            String text = new String(file, StandardCharsets.UTF_8);
            StringBuilder out = new StringBuilder(text);
            for (int i = 0; i <= random.nextInt(8); i++) {
                String odd = STRANGE[random.nextInt(STRANGE.length)];
                out.insert(random.nextInt(out.length()), random.nextInt(20) == 0 ? odd.repeat(5000) : odd);
            }
            return out.toString().getBytes(StandardCharsets.UTF_8);
        }
    },
    SHUFFLE_LINES {
        @Override
        byte[] of(byte[] file, Random random) {
            var lines = new java.util.ArrayList<>(
                    Arrays.asList(new String(file, StandardCharsets.ISO_8859_1).split("\n", -1)));
            for (int i = 0; i <= random.nextInt(5); i++) {
                java.util.Collections.swap(lines, random.nextInt(lines.size()), random.nextInt(lines.size()));
            }
            return String.join("\n", lines).getBytes(StandardCharsets.ISO_8859_1);
        }
    };

    private static final int MOST_BYTES = 2_000_000;
    private static final Pattern NUMBER = Pattern.compile("\\d+(?:\\.\\d+)?");
    private static final String[] ODD = {
        "0",
        "-1",
        "99999999",
        "1e308",
        "-1e308",
        "9223372036854775807",
        "0.0000001",
        "NaN",
        "2147483648",
        "1000000",
        "00:99:99",
        "\"x\"",
        "null"
    };
    private static final String[] STRANGE = {
        "\u0000", "\u202e", "🌱", "\t", "\r", "\\", "\"", "{", "}", "[", "%n%s", "../", "ﬁ", "e\u0301", "\ufeff", "<b>",
        "--> ", "  ", "#"
    };

    abstract byte[] of(byte[] file, Random random);
}
