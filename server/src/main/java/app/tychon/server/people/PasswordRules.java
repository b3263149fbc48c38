package app.tychon.server.people;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Problem;
import com.nulabinc.zxcvbn.Strength;
import com.nulabinc.zxcvbn.Zxcvbn;
import com.nulabinc.zxcvbn.matchers.Match;
import java.util.List;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Which passwords are taken, and how they are kept: by Argon2id with 19 MiB and two passes, as OWASP asks for. */
@Component
class PasswordRules {
    static final int SHORTEST = 12;
    static final int LONGEST = 128;
    /** Guesses that a password must stand; a word of a list of common ones stands some thousands. */
    private static final double FEWEST_GUESSES = 1e10;

    private final Zxcvbn strength = new Zxcvbn();
    private final PasswordEncoder encoder;
    /** What is compared with where there is no such account, so that it takes as long. */
    private final String nobodys;

    PasswordRules(PasswordEncoder encoder) {
        this.encoder = encoder;
        nobodys = encoder.encode("nobody has this password");
    }

    /**
     * The digest of a new password.
     *
     * @param pointer the field it was typed in
     * @throws InvalidPlanException with the reason, where it is too short, too long or too easy to guess
     */
    String digest(String password, AccountEntity account, String pointer) {
        int length = password.codePointCount(0, password.length());
        if (length < SHORTEST) {
            throw refused(pointer, "The password needs at least " + SHORTEST + " characters; this has " + length + ".");
        }
        if (length > LONGEST) {
            throw refused(
                    pointer, "The password may have at most " + LONGEST + " characters; this has " + length + ".");
        }
        Strength found = strength.measure(
                password,
                List.of(account.email(), account.name(), account.email().split("@")[0], "tychon"));
        if (isCommon(found)) {
            throw refused(pointer, "This is one of the passwords that many people use; choose another.");
        }
        if (found.getGuesses() < FEWEST_GUESSES) {
            throw refused(
                    pointer,
                    "This is guessed too easily: it is made of few words, names, dates or keys beside each other. A few words that do not belong together are good.");
        }
        return encoder.encode(password);
    }

    /** What others know of somebody, word by word. */
    private static List<String> about(AccountEntity account) {
        return List.of((account.email() + " " + account.name() + " tychon").split("[\\s@.]+"));
    }

    /** Whether the whole of it is on the list of common ones, perhaps with other letters for some. */
    private static boolean isCommon(Strength found) {
        List<Match> parts = found.getSequence();
        return parts.size() == 1 && "passwords".equals(parts.get(0).dictionaryName);
    }

    boolean matches(String password, AccountEntity account) {
        return password.length() <= 2 * LONGEST
                && account.password()
                        .map(digest -> encoder.matches(password, digest))
                        .orElseGet(() -> takesAsLong(password));
    }

    /** Says no after the time that comparing takes. */
    boolean takesAsLong(String password) {
        encoder.matches(password.substring(0, Math.min(password.length(), LONGEST)), nobodys);
        return false;
    }

    static InvalidPlanException refused(String pointer, String sentence) {
        return new InvalidPlanException(List.of(new Problem(pointer, sentence)));
    }
}
