package app.tychon.server.people;

import jakarta.annotation.Nullable;
import java.util.UUID;

/**
 * Who asks, and how one comes in here.
 *
 * @param alone whether nobody has an account: one person, on this machine
 * @param signedIn whether one may go on
 * @param administrator whether they look after people
 * @param codes whether a one-time code is asked for when they sign in
 * @param codesWanted whether they look after people once they have turned one-time codes on
 * @param mail whether a forgotten password is replaced by mail
 * @param singleSignOn what the provider is called by which one may sign in as well; absent where there is none
 */
record MeView(
        boolean alone,
        boolean signedIn,
        @Nullable UUID id,
        @Nullable String name,
        @Nullable String email,
        boolean administrator,
        boolean codes,
        boolean codesWanted,
        boolean mail,
        @Nullable String singleSignOn) {

    static MeView nobody(boolean alone, boolean mail, String singleSignOn) {
        return new MeView(alone, false, null, null, null, false, false, false, mail, singleSignOn);
    }

    static MeView theOnlyOne() {
        return new MeView(true, true, null, null, null, true, false, false, false, null);
    }

    static MeView of(AccountEntity account, boolean codesWanted, boolean mail) {
        return new MeView(
                false,
                true,
                account.id(),
                account.name(),
                account.email(),
                account.administrator(),
                account.codesOn(),
                codesWanted,
                mail,
                null);
    }
}
