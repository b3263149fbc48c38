package app.tychon.machines;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.CertificateException;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.security.spec.ECPoint;
import java.security.spec.ECPrivateKeySpec;
import java.security.spec.ECPublicKeySpec;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;
import javax.crypto.SecretKeyFactory;
import javax.crypto.spec.PBEKeySpec;
import javax.net.ssl.KeyManagerFactory;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManager;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.jce.ECNamedCurveTable;
import org.bouncycastle.jce.spec.ECNamedCurveParameterSpec;
import org.bouncycastle.jce.spec.ECNamedCurveSpec;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;

/**
 * What all machines that belong together know. A pair of keys on the curve P-256 is made of it, the same on every machine;
 * machines talk by TLS in which both sides prove that they have the private one. So whoever does not know the secret is refused
 * before anything that was sent is read, and each connection is enciphered by keys of its own.
 */
public final class Secret {
    private static final int SHORTEST = 20;
    private static final String CURVE = "P-256";
    private static final byte[] SALT = "tychon machines 1".getBytes(StandardCharsets.US_ASCII);
    private static final int ROUNDS = 200_000;
    /** More than the curve's bits, so that the remainder is as good as even. */
    private static final int BITS = 384;

    private static final String NAME = "CN=tychon machine";
    private static final Duration LIFE = Duration.ofDays(3650);

    private final PrivateKey own;
    private final PublicKey everyones;

    private Secret(PrivateKey own, PublicKey everyones) {
        this.own = own;
        this.everyones = everyones;
    }

    /** @throws CannotJoin where it is too short to be one */
    public static Secret of(String text) {
        String stripped = text.strip();
        if (stripped.length() < SHORTEST) {
            throw new CannotJoin("The secret of the machines must have at least " + SHORTEST
                    + " characters; the server makes a good one when it has none.");
        }
        try {
            ECNamedCurveParameterSpec curve = ECNamedCurveTable.getParameterSpec(CURVE);
            BigInteger d =
                    number(stripped).mod(curve.getN().subtract(BigInteger.ONE)).add(BigInteger.ONE);
            org.bouncycastle.math.ec.ECPoint q = curve.getG().multiply(d).normalize();
            ECNamedCurveSpec named =
                    new ECNamedCurveSpec("secp256r1", curve.getCurve(), curve.getG(), curve.getN(), curve.getH());
            KeyFactory keys = KeyFactory.getInstance("EC");
            ECPoint point = new ECPoint(
                    q.getAffineXCoord().toBigInteger(), q.getAffineYCoord().toBigInteger());
            return new Secret(
                    keys.generatePrivate(new ECPrivateKeySpec(d, named)),
                    keys.generatePublic(new ECPublicKeySpec(point, named)));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("this Java lacks what keys are made with", e);
        }
    }

    private static BigInteger number(String text) throws GeneralSecurityException {
        PBEKeySpec spec = new PBEKeySpec(text.toCharArray(), SALT, ROUNDS, BITS);
        return new BigInteger(
                1,
                SecretKeyFactory.getInstance("PBKDF2WithHmacSHA256")
                        .generateSecret(spec)
                        .getEncoded());
    }

    /** Another that nobody guesses. */
    public static String fresh() {
        return new BigInteger(256, new SecureRandom()).toString(36);
    }

    /** TLS among those who know it. */
    SSLContext context() {
        try {
            KeyStore store = KeyStore.getInstance("PKCS12");
            store.load(null, null);
            store.setKeyEntry("machine", own, new char[0], new Certificate[] {certificate()});
            KeyManagerFactory managers = KeyManagerFactory.getInstance(KeyManagerFactory.getDefaultAlgorithm());
            managers.init(store, new char[0]);
            SSLContext context = SSLContext.getInstance("TLSv1.3");
            context.init(managers.getKeyManagers(), new TrustManager[] {new SameKey(everyones)}, new SecureRandom());
            return context;
        } catch (GeneralSecurityException | IOException | OperatorCreationException e) {
            throw new IllegalStateException("this Java cannot speak TLS", e);
        }
    }

    /** Carries the public key; nobody looks at anything else of it. */
    private X509Certificate certificate() throws OperatorCreationException, CertificateException, IOException {
        X500Name name = new X500Name(NAME);
        Instant now = Instant.now();
        byte[] encoded = new JcaX509v3CertificateBuilder(
                        name, BigInteger.ONE, Date.from(now.minus(LIFE)), Date.from(now.plus(LIFE)), name, everyones)
                .build(new JcaContentSignerBuilder("SHA256withECDSA").build(own))
                .getEncoded();
        return (X509Certificate)
                CertificateFactory.getInstance("X.509").generateCertificate(new ByteArrayInputStream(encoded));
    }
}
