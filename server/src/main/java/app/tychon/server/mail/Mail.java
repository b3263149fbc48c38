package app.tychon.server.mail;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.mail.MailException;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Letters to people, where a server for mail is set. One leaves once what it tells of is kept, and nobody waits for it: how long
 * an answer takes tells nothing of who has an account.
 */
@Component
public class Mail {
    private static final Logger LOG = LoggerFactory.getLogger(Mail.class);
    private static final int MOST_WAITING = 500;
    private static final int SECONDS_TO_LEAVE = 10;

    private final ObjectProvider<JavaMailSender> sender;
    private final String from;
    private final ThreadPoolExecutor postman = new ThreadPoolExecutor(
            1, 1, 0, TimeUnit.SECONDS, new ArrayBlockingQueue<>(MOST_WAITING), task -> new Thread(task, "tychon-mail"));

    Mail(ObjectProvider<JavaMailSender> sender, @Value("${tychon.mail-from:}") String from) {
        this.sender = sender;
        this.from = from;
        postman.setRejectedExecutionHandler(
                (letter, full) -> LOG.error("{} letters wait already; one was not sent.", MOST_WAITING));
    }

    /** Whether letters can be sent. */
    public boolean isSet() {
        return sender.getIfAvailable() != null;
    }

    /** Sends plain words to an address, once the transaction under way is through; nothing where no server is set. */
    public void send(String to, String subject, String words) {
        if (!isSet()) {
            return;
        }
        SimpleMailMessage letter = new SimpleMailMessage();
        letter.setFrom(from);
        letter.setTo(to);
        letter.setSubject(subject);
        letter.setText(words);
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            postman.execute(() -> hand(letter));
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                postman.execute(() -> hand(letter));
            }
        });
    }

    private void hand(SimpleMailMessage letter) {
        try {
            sender.getObject().send(letter);
        } catch (MailException e) {
            // Its words may hold a link that opens an account; only why it failed is noted.
            LOG.error("A letter could not be sent: {}", e.getMostSpecificCause().toString());
        }
    }

    @PreDestroy
    void close() throws InterruptedException {
        postman.shutdown();
        if (!postman.awaitTermination(SECONDS_TO_LEAVE, TimeUnit.SECONDS)) {
            LOG.error("Letters that waited were not sent.");
        }
    }
}
