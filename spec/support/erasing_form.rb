# frozen_string_literal: true

require "nokogiri"

# Erasing somebody as it is done on the page: what was listed is looked at, the ticks are left as they stand.
module ErasingForm
  # also: words of further sentences to tick; tail: "erase", or "names" for who was erased already.
  def erase_person(person, name: person.name, also: nil, tail: "erase")
    get "/people/#{person.id}/kept"
    form = Nokogiri::HTML(last_response.body).at_css("form[action$='/#{tail}']")
    boxes = form.css("[name='take[]']")
    boxes = boxes.select { |box| box["checked"] || (also && box.parent.text.include?(also)) }
    send_form("/people/#{person.id}/#{tail}", { "name" => name, "seen" => form.at_css("[name=seen]")["value"],
                                                "take" => boxes.map { |box| box["value"] } })
  end
end
