package app.tychon.cli;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.exchange.table.UnreadableTableException;
import java.io.IOException;
import java.nio.file.NoSuchFileException;
import java.util.List;
import picocli.CommandLine.Model.CommandSpec;

/** What a command says where its input is bad or something outside fails: sentences on standard error, no traces. */
final class Complaints {
    private static final int FAILED = 1;
    private static final int BAD_INPUT = 2;

    private final CommandSpec spec;

    Complaints(CommandSpec spec) {
        this.spec = spec;
    }

    /** Something a command does. */
    @FunctionalInterface
    interface Task {
        void run() throws IOException, UnreadableTableException, BadInputException;
    }

    /** Input with problems, each a sentence of its own. */
    static final class BadInputException extends Exception {
        private static final long serialVersionUID = 1L;

        private final transient List<String> sentences;

        BadInputException(List<String> sentences) {
            this.sentences = sentences;
        }
    }

    /** Runs a task: 0 when it is done, 1 when something outside failed, 2 for bad input. */
    int exitCode(Task task) {
        try {
            task.run();
            return 0;
        } catch (InvalidPlanException e) {
            return badInput(e.problems().stream().map(Object::toString).toList());
        } catch (BadInputException e) {
            return badInput(e.sentences);
        } catch (IllegalArgumentException | UnreadableTableException e) {
            return badInput(List.of(e.getMessage()));
        } catch (NoSuchFileException e) {
            return badInput(List.of("there is no file or folder " + e.getFile()));
        } catch (IOException e) {
            complain(e.getClass().getSimpleName() + ": " + e.getMessage());
            return FAILED;
        }
    }

    private int badInput(List<String> sentences) {
        sentences.forEach(this::complain);
        return BAD_INPUT;
    }

    private void complain(String sentence) {
        spec.commandLine().getErr().println(sentence);
        spec.commandLine().getErr().flush();
    }
}
