package umbel.app.database;

import org.hibernate.boot.model.TypeContributions;
import org.hibernate.dialect.PostgreSQLDialect;
import org.hibernate.service.ServiceRegistry;
import org.hibernate.type.SqlTypes;
import org.hibernate.type.descriptor.jdbc.LongVarcharJdbcType;

/**
 * Long texts stand in their column, as text. Hibernate would keep them as large objects beside the table, which nobody reads in SQL
 * and which stay behind when a row goes.
 */
public class PostgresDialect extends PostgreSQLDialect {

    @Override
    protected String columnType(int sqlTypeCode) {
        return sqlTypeCode == SqlTypes.CLOB ? "text" : super.columnType(sqlTypeCode);
    }

    @Override
    public void contributeTypes(TypeContributions types, ServiceRegistry services) {
        super.contributeTypes(types, services);
        types.getTypeConfiguration().getJdbcTypeRegistry().addDescriptor(SqlTypes.CLOB, LongVarcharJdbcType.INSTANCE);
    }
}
