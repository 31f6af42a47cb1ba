package app.nosegay.cli;

import app.nosegay.jobs.Libraries;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.fit.FitRanges;
import app.nosegay.plan.fit.Fitter;
import app.nosegay.plan.fit.Offer;
import app.nosegay.plan.terms.Pause;
import app.nosegay.time.Length;
import app.nosegay.workout.Workout;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay fit}: ways to meet the promise. */
@Command(name = "fit", mixinStandardHelpOptions = true)
final class FitCommand implements Callable<Integer> {
    @Parameters(paramLabel = "PLAN", descriptionKey = "nosegay.fit.plan")
    private Path plan;

    @Option(names = "--rest", paramLabel = "FROM-TO", descriptionKey = "nosegay.fit.rest")
    private String rest;

    @Option(names = "--work", paramLabel = "FROM-TO", descriptionKey = "nosegay.fit.work")
    private String work;

    @Option(names = "--rounds", paramLabel = "FROM-TO", descriptionKey = "nosegay.fit.rounds")
    private String rounds;

    @Option(names = "--take", paramLabel = "N", descriptionKey = "nosegay.fit.take")
    private int take;

    @Option(names = "--out", paramLabel = "FILE", descriptionKey = "nosegay.fit.out")
    private Path out;

    @Option(names = "--json", paramLabel = "FILE|-", descriptionKey = "nosegay.fit.json")
    private String json;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        writing.reads(plan).checkJson(json);
        Workout workout = Sheets.workout(plan);
        Timeline timeline = Sheets.timeline(workout);
        Fitter.Fit fit = Fitter.fit(
                timeline, Libraries.current(), ranges(workout.settings().ranges()));
        if (take > 0) {
            write(fit);
        }
        if (!writing.json(json, json(fit))) {
            table(spec.commandLine().getOut(), timeline, fit);
        }
        return fit.met() || !fit.offers().isEmpty() ? Main.DONE : Main.STOPPED_BY_FINDINGS;
    }

    private FitRanges ranges(FitRanges otherwise) throws IOException {
        Pause rests = rest == null ? null : range(rest, "--rest");
        Pause works = work == null ? null : range(work, "--work");
        int least = otherwise.roundsLeast();
        int most = otherwise.roundsMost();
        if (rounds != null) {
            if (!rounds.matches("\\d{1,2}-\\d{1,2}")) {
                throw new IOException(CliText.of("fit-command.rounds-expected-two-numbers-such", rounds));
            }
            least = Integer.parseInt(rounds.split("-")[0]);
            most = Integer.parseInt(rounds.split("-")[1]);
        }
        return new FitRanges(
                rests == null ? otherwise.restLeast() : rests.least(),
                rests == null ? otherwise.restMost() : rests.most(),
                works == null ? otherwise.workLeast() : works.least(),
                works == null ? otherwise.workMost() : works.most(),
                Math.max(1, least),
                Math.max(least, most));
    }

    private static Pause range(String text, String option) throws IOException {
        return Pause.parse(text)
                .filter(p -> !p.open())
                .orElseThrow(() -> new IOException(CliText.of("fit-command.expected-a-range-such-as", option, text)));
    }

    private void write(Fitter.Fit fit) throws IOException {
        if (take > fit.offers().size()) {
            throw new IOException(CliText.of(
                    "fit-command.take-there-are-offers", take, fit.offers().size()));
        }
        if (out == null) {
            throw new IOException(CliText.of("fit-command.take-needs-out-file-to"));
        }
        writing.text(out, fit.offers().get(take - 1).sheet());
    }

    private static void table(PrintWriter out, Timeline timeline, Fitter.Fit fit) {
        String promise = timeline.sheet().header().promise().text();
        if (fit.met() && fit.impossible() == null) {
            out.println(CliText.of(
                    "fit-command.the-promise-holds", promise, fit.measured().clock()));
        } else if (fit.impossible() != null) {
            out.println(fit.impossible());
        } else {
            out.println(CliText.of(
                    "fit-command.it-lasts-promised-is", fit.measured().clock(), promise));
        }
        int n = 1;
        for (Offer offer : fit.offers()) {
            out.printf("%2d  %s: %s (%s)%n", n++, offer.measured().clock(), offer.name(), offer.price());
            offer.changes().forEach(c -> out.println("      " + c));
        }
        out.flush();
    }

    private static ObjectNode json(Fitter.Fit fit) {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("measuredSeconds", seconds(fit.measured()));
        root.put("met", fit.met());
        root.put("impossible", fit.impossible());
        ArrayNode offers = root.putArray("offers");
        for (Offer o : fit.offers()) {
            ObjectNode node = offers.addObject()
                    .put("name", o.name())
                    .put("measuredSeconds", seconds(o.measured()))
                    .put("price", o.price())
                    .put("cost", Math.round(o.cost() * 10) / 10.0);
            ArrayNode changes = node.putArray("changes");
            o.changes().forEach(changes::add);
            node.put("sheet", o.sheet());
        }
        return root;
    }

    private static double seconds(Length length) {
        return Math.round(length.seconds() * 1000) / 1000.0;
    }
}
