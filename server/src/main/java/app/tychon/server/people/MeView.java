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
        @Nullable String singleSignOn) {

    static MeView nobody(boolean alone, String singleSignOn) {
        return new MeView(alone, false, null, null, null, false, false, singleSignOn);
    }

    static MeView theOnlyOne() {
        return new MeView(true, true, null, null, null, true, false, null);
    }

    static MeView of(AccountEntity account) {
        return new MeView(
                false,
                true,
                account.id(),
                account.name(),
                account.email(),
                account.administrator(),
                account.codesOn(),
                null);
    }
}
