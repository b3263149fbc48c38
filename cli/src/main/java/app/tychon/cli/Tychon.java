package app.tychon.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

/** The command line on project files; {@code ./tychon} delegates to it. */
@Command(
        name = "tychon",
        subcommands = {SimulateCommand.class, BriefCommand.class, ImportCommand.class},
        description = "How sure are we of the date and the budget?")
public final class Tychon implements Runnable {
    @Spec
    private CommandSpec spec;

    public static void main(String[] args) {
        System.exit(commandLine().execute(args));
    }

    /** Exit codes: 0 done, 1 something outside failed, 2 bad input. */
    static CommandLine commandLine() {
        return new CommandLine(new Tychon()).setCaseInsensitiveEnumValuesAllowed(true);
    }

    @Override
    public void run() {
        spec.commandLine().usage(spec.commandLine().getOut());
    }
}
