package app.tychon.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.tychon.server.audit.Audit;
import app.tychon.server.rights.Memberships;
import app.tychon.server.rights.Who;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;

/** Those who look after people, where they must come in with one-time codes. */
class AdministratorsTest {
    private final AccountEntity account = new AccountEntity("adam@ridge.example", "Adam Stone", true);

    private People people(boolean codesWanted) {
        AccountRepository accounts = mock(AccountRepository.class);
        when(accounts.findById(account.id())).thenReturn(Optional.of(account));
        SecurityContextHolder.getContext()
                .setAuthentication(
                        UsernamePasswordAuthenticationToken.authenticated(Who.person(account.id()), null, List.of()));
        return new People(
                accounts,
                mock(Memberships.class),
                mock(BrowserSessions.class),
                mock(EntityManager.class),
                mock(AccountLinks.class),
                mock(Letters.class),
                mock(Audit.class),
                codesWanted);
    }

    @AfterEach
    void nobodyAsks() {
        SecurityContextHolder.clearContext();
    }

    @Test
    void lookAfterPeopleOnceTheirCodesAreOn() {
        People people = people(true);
        assertThat(people.administer()).isFalse();
        assertThat(people.lacksCodes(account)).isTrue();
        account.setCodesSecret(new byte[] {1});
        account.turnCodesOn();
        assertThat(people.administer()).isTrue();
        assertThat(people.lacksCodes(account)).isFalse();
    }

    @Test
    void needNoneWhereTheServerAsksForNone() {
        assertThat(people(false).administer()).isTrue();
    }

    @Test
    void areNoLongerWhenTheyAreMadeOthers() {
        account.setAdministrator(false);
        assertThat(people(false).administer()).isFalse();
    }
}
