import pg from 'pg'

// calendar days stay text: a Date at local midnight would shift with the server's time zone
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text)
