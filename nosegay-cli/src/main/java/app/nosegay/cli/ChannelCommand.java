package app.nosegay.cli;

import app.nosegay.files.InputFile;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.standins.Channel;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay channel}: a published package before the generic rules of a host. */
@Command(name = "channel", mixinStandardHelpOptions = true)
final class ChannelCommand implements Callable<Integer> {
    @Parameters(paramLabel = "DIR", descriptionKey = "nosegay.channel.dir")
    private Path folder;

    @Option(
            names = "--profile",
            defaultValue = "long-video",
            paramLabel = "NAME",
            descriptionKey = "nosegay.channel.profile")
    private String profile;

    @Option(names = "--title", paramLabel = "TEXT", descriptionKey = "nosegay.channel.title")
    private String title;

    @Option(names = "--json", paramLabel = "FILE", descriptionKey = "nosegay.channel.json")
    private String json;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        if (!Files.isDirectory(folder)) {
            throw new IOException(CliText.of("channel-command.there-is-no-such-folder", folder));
        }
        writing.checkJson(json);
        List<Channel.Profile> known = Channel.profiles();
        Channel.Profile wanted = known.stream()
                .filter(p -> p.name().equals(profile))
                .findFirst()
                .orElseThrow(() -> new IOException(CliText.of(
                        "channel-command.is-no-profile-known-are",
                        profile,
                        known.stream().map(Channel.Profile::name).collect(Collectors.joining(", ")))));
        Channel.Answer answer = Channel.submit(
                folder,
                wanted,
                title == null ? titleOf(folder) : title,
                LocalDate.now().toString());
        ObjectNode node = JsonMapper.builder().build().createObjectNode();
        node.put("date", answer.date()).put("profile", answer.profile()).put("title", answer.title());
        node.put("accepted", answer.accepted());
        answer.reasons().forEach(node.putArray("reasons")::add);
        if (!writing.json(json, node)) {
            PrintWriter out = spec.commandLine().getOut();
            out.println(LogbookFile.told(wanted, answer));
            out.flush();
        }
        return answer.accepted() ? Main.DONE : Main.STOPPED_BY_FINDINGS;
    }

    /** The first line of the description is the title. */
    private static String titleOf(Path folder) throws IOException {
        Path description = folder.resolve("description.txt");
        return Files.isRegularFile(description)
                ? InputFile.TEXT.text(description).strip().lines().findFirst().orElse("")
                : "";
    }
}
