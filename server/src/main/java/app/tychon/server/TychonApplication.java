package app.tychon.server;

import app.tychon.server.launch.Launch;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The web application. {@link #main} is what {@code ./tychon start} and {@code ./tychon demo} run. */
@SpringBootApplication
@EnableScheduling
public class TychonApplication {
    public static void main(String[] args) {
        Launch.run(args);
    }
}
