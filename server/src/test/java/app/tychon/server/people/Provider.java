package app.tychon.server.people;

import com.nimbusds.jose.JOSEException;
import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.JWSHeader;
import com.nimbusds.jose.crypto.RSASSASigner;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jose.jwk.RSAKey;
import com.nimbusds.jose.jwk.gen.RSAKeyGenerator;
import com.nimbusds.jwt.JWTClaimsSet;
import com.nimbusds.jwt.SignedJWT;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Date;

/** A provider of single sign-on, on loopback: it lets whoever comes be who the test says, and signs what it says of them. */
final class Provider implements AutoCloseable {
    static final String CLIENT = "tychon";
    static final String SECRET = "secret of the client";

    private final HttpServer server;
    private final RSAKey key;
    private volatile JWTClaimsSet.Builder next = new JWTClaimsSet.Builder();
    private volatile String lastTokenRequest = "";

    Provider() {
        try {
            key = new RSAKeyGenerator(2048).keyID("k1").generate();
            server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        } catch (JOSEException | IOException e) {
            throw new IllegalStateException(e);
        }
        server.createContext(
                "/.well-known/openid-configuration",
                exchange -> answer(
                        exchange,
                        """
                {"issuer":"%1$s","authorization_endpoint":"%1$s/authorize","token_endpoint":"%1$s/token","jwks_uri":"%1$s/keys",
                "response_types_supported":["code"],"subject_types_supported":["public"],"id_token_signing_alg_values_supported":["RS256"]}
                """
                                .formatted(issuer())));
        server.createContext("/keys", exchange -> answer(exchange, new JWKSet(key.toPublicJWK()).toString()));
        server.createContext("/token", exchange -> {
            lastTokenRequest = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
            answer(
                    exchange,
                    "{\"access_token\":\"a\",\"token_type\":\"Bearer\",\"expires_in\":60,\"id_token\":\"" + token()
                            + "\"}");
        });
        server.start();
    }

    String issuer() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    /** Who comes next. */
    void willBe(String subject, String email, boolean verified, String nonce) {
        next = new JWTClaimsSet.Builder()
                .subject(subject)
                .claim("email", email)
                .claim("email_verified", verified)
                .claim("nonce", nonce);
    }

    /** What was sent to have a code changed for a token. */
    String lastTokenRequest() {
        return lastTokenRequest;
    }

    private String token() {
        try {
            Instant now = Instant.now();
            SignedJWT token = new SignedJWT(
                    new JWSHeader.Builder(JWSAlgorithm.RS256).keyID("k1").build(),
                    next.issuer(issuer())
                            .audience(CLIENT)
                            .issueTime(Date.from(now))
                            .expirationTime(Date.from(now.plusSeconds(60)))
                            .build());
            token.sign(new RSASSASigner(key));
            return token.serialize();
        } catch (JOSEException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void answer(HttpExchange exchange, String json) throws IOException {
        byte[] body = json.getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().add("Content-Type", "application/json");
        exchange.sendResponseHeaders(200, body.length);
        exchange.getResponseBody().write(body);
        exchange.close();
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
