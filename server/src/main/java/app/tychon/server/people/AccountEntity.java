package app.tychon.server.people;

import app.tychon.server.database.Ids;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;

/** Somebody who can come in. */
@Entity
@Table(name = "account")
class AccountEntity {
    @Id
    private UUID id;

    private String email;
    private String name;
    private boolean administrator;
    private String password;

    private String subject;

    @Column(columnDefinition = "varbinary(100)")
    private byte[] codesSecret;

    private boolean codesOn;
    private long codesStep;
    private LocalDateTime createdAt;
    private LocalDateTime disabledAt;

    protected AccountEntity() {}

    AccountEntity(String email, String name, boolean administrator) {
        id = Ids.next();
        this.email = email;
        this.name = name;
        this.administrator = administrator;
        createdAt = LocalDateTime.now(ZoneOffset.UTC);
    }

    UUID id() {
        return id;
    }

    String email() {
        return email;
    }

    String name() {
        return name;
    }

    void call(String other) {
        name = other;
    }

    boolean administrator() {
        return administrator;
    }

    void setAdministrator(boolean now) {
        administrator = now;
    }

    /** The digest of the password, once one was set. */
    Optional<String> password() {
        return Optional.ofNullable(password);
    }

    void setPassword(String digest) {
        password = digest;
    }

    /** Who they are to the provider of single sign-on, once they have come in by it. */
    Optional<String> subject() {
        return Optional.ofNullable(subject);
    }

    void setSubject(String issuerAndSubject) {
        subject = issuerAndSubject;
    }

    /** The secret of one-time codes, enciphered, once one was made. */
    Optional<byte[]> codesSecret() {
        return Optional.ofNullable(codesSecret);
    }

    /** Another secret, which is not asked for before {@link #turnCodesOn}. */
    void setCodesSecret(byte[] enciphered) {
        codesSecret = enciphered;
        codesOn = false;
    }

    boolean codesOn() {
        return codesOn;
    }

    void turnCodesOn() {
        codesOn = true;
    }

    void turnCodesOff() {
        codesOn = false;
        codesSecret = null;
    }

    /** The step of time of the last code that was used, which is not taken again. */
    long codesStep() {
        return codesStep;
    }

    void setCodesStep(long step) {
        codesStep = step;
    }

    Instant createdAt() {
        return createdAt.toInstant(ZoneOffset.UTC);
    }

    boolean disabled() {
        return disabledAt != null;
    }

    void setDisabled(boolean now) {
        disabledAt = now ? LocalDateTime.now(ZoneOffset.UTC) : null;
    }
}
