package rovingglyph.projects;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.stereotype.Component;
import rovingglyph.document.SceneCodec;

/**
 * Takes out of kept scenes what earlier versions left in them by mistake and what is told as a
 * problem now, so that every scene still opens.
 */
@Component
class HealedDocuments implements JavaMigration {
  @Override
  public MigrationVersion getVersion() {
    return MigrationVersion.fromVersion("6");
  }

  @Override
  public String getDescription() {
    return "healed documents";
  }

  @Override
  public Integer getChecksum() {
    return 1;
  }

  @Override
  public boolean canExecuteInTransaction() {
    return true;
  }

  @Override
  public void migrate(Context context) throws SQLException {
    try (Statement read = context.getConnection().createStatement();
        ResultSet rows = read.executeQuery("select id, document::text from scene");
        PreparedStatement write =
            context
                .getConnection()
                .prepareStatement("update scene set document = ?::json where id = ?::uuid")) {
      while (rows.next()) {
        String document = rows.getString(2);
        String healed = SceneCodec.healed(document);
        if (!healed.equals(document)) {
          write.setString(1, healed);
          write.setString(2, rows.getString(1));
          write.executeUpdate();
        }
      }
    }
  }
}
