# frozen_string_literal: true

module Records
  # Who asks, and about which piece, in one question to the database: the sign-in of a token, its account, the account's
  # place in a studio, that studio, and a piece of it. Every request asks this first.
  class Asker
    # In the order in which their columns are read.
    ROWS = { place: SignIn, account: Account, member: Membership, studio: Studio, piece: Piece }.freeze
    private_constant :ROWS

    attr_reader(*ROWS.keys)

    # studio_id: where the account was last, or nil for its first place; piece_id: nil for none. Finds nothing: nil.
    def self.find(token, studio_id, piece_id)
      given = [Token.digest(token.to_s), studio_id, piece_id]
      row = Base.rows_of(sql, "who asks", given).first
      row && new(row)
    end

    # Written once, when the database is there: it knows the columns.
    def self.sql
      @sql ||= <<~SQL
        SELECT #{ROWS.map { |name, model| columns(name, model) }.join(', ')}
        FROM sign_ins place
        JOIN accounts account ON account.id = place.account_id
        LEFT JOIN LATERAL (
          SELECT * FROM memberships m WHERE m.account_id = account.id
          ORDER BY (m.studio_id = $2::bigint) IS TRUE DESC, m.id LIMIT 1
        ) member ON true
        LEFT JOIN studios studio ON studio.id = member.studio_id
        LEFT JOIN pieces piece ON piece.studio_id = studio.id AND piece.id = $3::bigint
        WHERE place.token_digest = $1
      SQL
    end

    def self.columns(name, model) = model.column_names.map { |column| "#{name}.#{column}" }.join(", ")
    private_class_method :sql, :columns

    def initialize(values)
      rest = values
      ROWS.each do |name, model|
        own = model.column_names.zip(rest).to_h
        rest = rest.drop(own.size)
        instance_variable_set(:"@#{name}", (model.instantiate(own) if own["id"]))
      end
      acquaint
    end

    private

    # Each knows the others, so that none is asked for again.
    def acquaint
      place.association(:account).target = account
      member&.association(:account)&.target = account
      member&.association(:studio)&.target = studio
      piece&.association(:studio)&.target = studio
    end
  end
end
