package app.tychon.server.people;

import app.tychon.server.mail.Mail;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** What is written to people of their accounts, where a server for mail is set. */
@Component
class Letters {
    private final Mail mail;
    private final String opened;

    /** @param opened the address that people open, as the settings say and never as a request does */
    Letters(Mail mail, @Value("${tychon.opened:}") String opened) {
        this.mail = mail;
        this.opened = opened;
    }

    boolean areSent() {
        return mail.isSet();
    }

    /** A link by which somebody sets a password. */
    void link(AccountEntity account, String path) {
        mail.send(
                account.email(),
                "Your password at Tychon",
                """
                Dear %s,

                with this link you set the password for Tychon, with which you sign in as %s:

                %s%s

                It is good once, for three days. If you did not ask for it and nobody told you of it, leave it alone:
                nothing changes unless it is used.
                """
                        .formatted(account.name(), account.email(), opened, path));
    }

    /** Tells somebody what was changed of how they come in. */
    void changed(AccountEntity account, String what) {
        mail.send(
                account.email(),
                "Your account at Tychon was changed",
                """
                Dear %s,

                %s

                If this was neither you nor whoever looks after the server for you, tell them at once, and sign out everywhere
                under "Your account":

                %s/account
                """
                        .formatted(account.name(), what, opened));
    }
}
