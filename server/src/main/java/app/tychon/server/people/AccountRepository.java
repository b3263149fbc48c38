package app.tychon.server.people;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface AccountRepository extends Repository<AccountEntity, UUID> {
    Optional<AccountEntity> findById(UUID id);

    Optional<AccountEntity> findByEmail(String email);

    List<AccountEntity> findAllByOrderByName();

    List<AccountEntity> findAllByIdIn(Collection<UUID> ids);

    Optional<AccountEntity> findFirstByAdministratorTrueAndDisabledAtIsNullOrderByCreatedAt();

    long count();

    long countByAdministratorTrueAndDisabledAtIsNull();

    AccountEntity save(AccountEntity account);

    void delete(AccountEntity account);
}
