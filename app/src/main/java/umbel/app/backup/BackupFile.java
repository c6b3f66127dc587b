package umbel.app.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import umbel.app.photo.PhotoFiles;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * A backup as a file: the database, the holding's own knowledge files, the photographs, and the records as a table for reading
 * only. It is unpacked aside, looked at without running anything in it, and only then put in the place of what is there, which
 * is kept.
 */
public final class BackupFile {

    static final String DATABASE = "umbel.mv.db";
    static final String KNOWLEDGE = "knowledge";
    static final String RECORDS = "records.csv";

    private static final List<String> FOLDERS = List.of(KNOWLEDGE, PhotoFiles.FOLDER);
    private static final String STAGED = "restore-staged";
    private static final Pattern KNOWLEDGE_FILE =
            Pattern.compile("knowledge/(?:[A-Za-z0-9_-]{1,60}/)?[A-Za-z0-9][A-Za-z0-9._-]{0,100}\\.ya?ml");
    private static final Pattern PHOTO_FILE = Pattern.compile(PhotoFiles.FOLDER + "/" + PhotoFiles.FILE);
    private static final int BLOCK = 1 << 16;

    private BackupFile() {}

    /** Puts a checked backup in the place of what is in a data folder that no program works on. */
    public static RestoreReport restore(Path zip, Path data) throws IOException {
        Files.createDirectories(data);
        refuseWhileRunning(data);
        Path aside = Files.createTempDirectory(data, "restore-");
        try {
            RestoreReport report = unpack(zip, aside);
            swap(aside, data);
            return report;
        } finally {
            delete(aside);
        }
    }

    /** Lays a checked backup ready for the next start of the program that works on a data folder now. */
    static RestoreReport stage(Path zip, Path data) throws IOException {
        Path aside = Files.createTempDirectory(data, "restore-");
        try {
            RestoreReport report = unpack(zip, aside);
            delete(data.resolve(STAGED));
            Files.move(aside, data.resolve(STAGED), StandardCopyOption.ATOMIC_MOVE);
            return report;
        } finally {
            delete(aside);
        }
    }

    /** Takes a backup over that was laid ready; nothing happens where none was. To be called before the database is opened. */
    public static boolean takeStaged(Path data) throws IOException {
        Path staged = data.resolve(STAGED);
        if (!Files.isDirectory(staged)) {
            return false;
        }
        refuseWhileRunning(data);
        swap(staged, data);
        delete(staged);
        return true;
    }

    private static RestoreReport unpack(Path zip, Path aside) throws IOException {
        Set<String> seen = new HashSet<>();
        try (InputStream file = Files.newInputStream(zip);
                ZipInputStream in = new ZipInputStream(file)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                String name = entry.getName();
                boolean wanted = name.equals(DATABASE)
                        || KNOWLEDGE_FILE.matcher(name).matches()
                        || PHOTO_FILE.matcher(name).matches();
                if (!wanted && !name.equals(RECORDS)) {
                    throw new NotABackup(
                            Statement.of("problem.backup-foreign-entry").with("entry", Value.name(printable(name))));
                }
                if (!seen.add(name)) {
                    throw new NotABackup(
                            Statement.of("problem.backup-entry-twice").with("entry", Value.name(name)));
                }
                if (wanted) {
                    Path target = aside.resolve(name);
                    Files.createDirectories(target.getParent());
                    copy(in, target);
                }
            }
        }
        if (!seen.contains(DATABASE)) {
            throw new NotABackup(Statement.of("problem.backup-without-database"));
        }
        return DatabaseCheck.of(aside.resolve(DATABASE));
    }

    /** Writes an entry as a plain file of its own, whatever the archive says it is, as far as there is room for it. */
    private static void copy(InputStream in, Path target) throws IOException {
        byte[] block = new byte[BLOCK];
        try (var out = Files.newOutputStream(target, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
            for (int read = in.read(block); read >= 0; read = in.read(block)) {
                if (Files.getFileStore(target).getUsableSpace() < 4L * BLOCK) {
                    throw new NotABackup(Statement.of("problem.backup-no-room"));
                }
                out.write(block, 0, read);
            }
        }
    }

    private static void swap(Path from, Path data) throws IOException {
        String before =
                "-before-" + DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").format(LocalDateTime.now());
        Path old = data.resolve("umbel" + before + ".mv.db");
        boolean moved = moveIfThere(data.resolve(DATABASE), old);
        try {
            Files.move(from.resolve(DATABASE), data.resolve(DATABASE), StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            if (moved) {
                Files.move(old, data.resolve(DATABASE), StandardCopyOption.ATOMIC_MOVE);
            }
            throw e;
        }
        for (String folder : FOLDERS) {
            if (Files.isDirectory(from.resolve(folder))) {
                moveIfThere(data.resolve(folder), data.resolve(folder + before));
                Files.move(from.resolve(folder), data.resolve(folder), StandardCopyOption.ATOMIC_MOVE);
            }
        }
    }

    private static boolean moveIfThere(Path from, Path to) throws IOException {
        if (!Files.exists(from)) {
            return false;
        }
        Files.move(from, to, StandardCopyOption.ATOMIC_MOVE);
        return true;
    }

    /** A running program holds a lock on its database; what it saves after a swap would be lost. */
    private static void refuseWhileRunning(Path data) throws IOException {
        Path database = data.resolve(DATABASE);
        if (!Files.exists(database)) {
            return;
        }
        try (FileChannel channel = FileChannel.open(database, StandardOpenOption.READ, StandardOpenOption.WRITE);
                FileLock lock = channel.tryLock()) {
            if (lock == null) {
                throw new NotABackup(Statement.of("problem.umbel-running").with("folder", Value.name(data.toString())));
            }
        } catch (OverlappingFileLockException e) {
            throw new NotABackup(Statement.of("problem.umbel-running").with("folder", Value.name(data.toString())));
        }
    }

    private static void delete(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return;
        }
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path one : all.sorted(java.util.Comparator.reverseOrder()).toList()) {
                Files.delete(one);
            }
        }
    }

    private static String printable(String name) {
        String plain = name.replaceAll("[^ -~]", "?");
        return plain.length() > 80 ? plain.substring(0, 80) + "…" : plain;
    }
}
