package app.tychon.server.launch;

import org.springframework.context.ConfigurableApplicationContext;

/** The server that a command asks: the one that runs on the data folder or, where none does, one for as long as it takes. */
final class CommandServer implements AutoCloseable {
    private final RunningServer running;
    private final ConfigurableApplicationContext started;

    private CommandServer(RunningServer running, ConfigurableApplicationContext started) {
        this.running = running;
        this.started = started;
    }

    static CommandServer of(Settings settings) {
        return RunningServer.find(settings)
                .map(known -> new CommandServer(known, null))
                .orElseGet(() -> {
                    ConfigurableApplicationContext started = Launch.start(settings.quietly());
                    return new CommandServer(
                            RunningServer.find(settings)
                                    .orElseThrow(() -> new CannotStart("The server did not start.")),
                            started);
                });
    }

    RunningServer running() {
        return running;
    }

    @Override
    public void close() {
        if (started != null) {
            started.close();
        }
    }
}
