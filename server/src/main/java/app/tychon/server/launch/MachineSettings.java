package app.tychon.server.launch;

import app.tychon.machines.Address;
import app.tychon.machines.CannotJoin;
import app.tychon.machines.Crew;
import app.tychon.machines.Secret;
import app.tychon.server.database.PrivateFile;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.logging.LoggingSystem;

/**
 * Machines that may join this server, as the environment says.
 *
 * @param listen where (TYCHON_MACHINES, as HOST:PORT)
 * @param others servers of the same database (TYCHON_SERVERS, as HOST:PORT with commas between)
 * @param secret of them all (TYCHON_MACHINES_SECRET); otherwise made, and kept in the data folder
 * @param folder for what the engine between machines keeps
 */
record MachineSettings(Address listen, List<Address> others, Secret secret, Path folder) {
    /** Where the secret is kept, in the data folder. */
    static final String FILE = "machines.secret";

    /** Nothing where no machine may join. */
    static Optional<MachineSettings> of(Map<String, String> environment, Path data) {
        return Settings.given(environment, "TYCHON_MACHINES").map(listen -> {
            try {
                return new MachineSettings(
                        Address.of(listen.strip()),
                        Arrays.stream(environment
                                        .getOrDefault("TYCHON_SERVERS", "")
                                        .split(","))
                                .filter(one -> !one.isBlank())
                                .map(one -> Address.of(one.strip()))
                                .toList(),
                        Secret.of(secret(environment, data)),
                        data.resolve("machines"));
            } catch (CannotJoin e) {
                throw new CannotStart("TYCHON_MACHINES, TYCHON_SERVERS, TYCHON_MACHINES_SECRET: " + e.getMessage());
            }
        });
    }

    private static String secret(Map<String, String> environment, Path data) {
        return Settings.given(environment, "TYCHON_MACHINES_SECRET").orElseGet(() -> {
            try {
                PrivateFile.folder(data);
                return PrivateFile.key(data.resolve(FILE));
            } catch (IOException e) {
                throw new CannotStart("The data folder " + data + " cannot be used: " + e.getMessage());
            }
        });
    }

    /** Lets them join; until logging is set up, the engine between them has nothing to say. */
    Crew start() {
        LoggingSystem.get(MachineSettings.class.getClassLoader()).beforeInitialize();
        try {
            return Crew.start(host(), listen, others, secret, folder);
        } catch (CannotJoin e) {
            throw new CannotStart(e.getMessage());
        }
    }

    private static String host() {
        try {
            return InetAddress.getLocalHost().getHostName();
        } catch (UnknownHostException e) {
            return "server";
        }
    }
}
