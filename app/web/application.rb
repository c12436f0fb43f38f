# frozen_string_literal: true

require "sinatra/base"
require "rack/protection"
require "rack/session"
require "rack/attack"
require "rack/timeout/base"
require "erubi"
require "pundit"
require "pagy"

module App
  # The web application: settings, error answers, and the list of features.
  class Web < Sinatra::Base
    register Access

    set :environment, Settings.environment.to_sym
    set :root, Settings::ROOT
    set :views, File.join(Settings::ROOT, "app")
    set :erb, escape_html: true, trim: "-"
    set :static, false
    set :reload_templates, ENV.key?("RELOAD")
    set :sessions, false
    set :protection, false
    set :logging, false
    set :dump_errors, false
    set :show_exceptions, false
    set :raise_errors, false
    set :host_authorization, permitted_hosts: Settings.production? ? [URI(Settings.app_url).host] : []
    set :strict_paths, false

    helpers Helpers::Identity, Helpers::Html, Helpers::Flow
    helpers { def find_template(views, name, engine, &) = super(views, MOVED_VIEWS.fetch(name.to_s), engine, &) }

    before { @params = Sinatra::IndifferentHash.new.merge(Shapes.form(params)) }

    register Routes::Health
    register Routes::SignIn
    register Routes::Studios
    register Routes::Team
    register Routes::Home
    register Routes::People
    register Routes::Roster
    register Routes::Rehearsals
    register Routes::Pieces
    register Routes::Steps # before Structure, whose links/:id/:step would take its paths
    register Routes::Joins
    register Routes::Spacing
    register Routes::Structure
    register Routes::Sections
    register Routes::Sharing
    register Routes::Words
    register Routes::Groups
    register Routes::Learning
    register Routes::Plans
    register Routes::Calls
    register Routes::MyPart

    not_found { answer_page 404 }
    error(Helpers::Flow::NotYours) { answer_page 403 }
    error(ActiveRecord::StaleObjectError) { answer_page 409 }
    error do
      SemanticLogger["Web"].error("unhandled", env["sinatra.error"])
      answer_page 500
    end

    def self.rack = Stack.build(self)
  end
end
