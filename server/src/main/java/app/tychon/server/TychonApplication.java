package app.tychon.server;

import app.tychon.server.launch.Launch;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** The web application. {@link #main} is what {@code ./tychon start} and {@code ./tychon demo} run. */
@SpringBootApplication
public class TychonApplication {
    public static void main(String[] args) {
        Launch.run(args);
    }
}
