package app.tychon.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The command line on project files; {@code ./tychon} delegates to it. */
@Command(
        name = "tychon",
        subcommands = {SimulateCommand.class},
        description = "How sure are we of the date and the budget?")
public final class Tychon implements Runnable {
    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    public static void main(String[] args) {
        System.exit(run(args));
    }

    /** Exit codes: 0 done, 1 something outside failed, 2 bad input. */
    static int run(String... args) {
        return new CommandLine(new Tychon())
                .setCaseInsensitiveEnumValuesAllowed(true)
                .execute(args);
    }

    @Override
    public void run() {
        spec.commandLine().usage(System.out);
    }
}
