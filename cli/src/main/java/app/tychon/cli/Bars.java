package app.tychon.cli;

import java.util.Optional;
import me.tongfei.progressbar.ConsoleProgressBarConsumer;
import me.tongfei.progressbar.ProgressBarBuilder;
import me.tongfei.progressbar.ProgressBarStyle;

/** Bars that show on a terminal how far something is, how fast, and how long it will take. */
final class Bars {
    private static final int SHOWN_EACH_MS = 200;

    private Bars() {}

    /** A bar to be; none where what is read or written goes through a pipe. */
    static Optional<ProgressBarBuilder> of(String task, long most) {
        // There is a console only where neither does.
        if (System.console() == null) {
            return Optional.empty();
        }
        return Optional.of(new ProgressBarBuilder()
                .setTaskName(task)
                .setInitialMax(most)
                .setStyle(ProgressBarStyle.ASCII)
                .setUpdateIntervalMillis(SHOWN_EACH_MS)
                .showSpeed()
                .setConsumer(new ConsoleProgressBarConsumer(System.err)));
    }
}
