<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

/** What a column of a table of past entries can hold. */
enum Column: string
{
    case Id = 'id';
    case Author = 'author';
    case Role = 'role';
    case Place = 'place';
    case SaidAt = 'said at';
    case Date = 'date';
    case Rating = 'rating';
    case Best = 'best';
    case Worst = 'worst';
    case Title = 'title';
    case Text = 'text';
    case Reply = 'reply';
    case ReplyDate = 'reply date';
    case Url = 'address';
    case Subject = 'subject';
    case Labels = 'labels';
    case Language = 'language';
    case Kind = 'kind';
    case Picture = 'picture';

    /**
     * Names by which people call such a column, in English, German, French, Spanish, Italian, Dutch and Portuguese;
     * folded: no accents, no case.
     *
     * @return list<string>
     */
    public function names(): array
    {
        return match ($this) {
            self::Id => ['id', 'review id', 'entry id', 'identifier', 'kennung', 'identifiant', 'identificador', 'uid', 'guid'],
            self::Author => ['author', 'name', 'reviewer', 'reviewer name', 'author name', 'customer', 'customer name', 'by', 'from', 'who', 'guest', 'user', 'username', 'client', 'autor', 'verfasser', 'kunde', 'kundenname', 'gast', 'auteur', 'nom', 'cliente', 'nombre', 'autore', 'nome', 'klant', 'naam', 'schrijver'],
            self::Role => ['role', 'company', 'job', 'job title', 'position', 'organisation', 'organization', 'firma', 'unternehmen', 'rolle', 'entreprise', 'societe', 'empresa', 'cargo', 'azienda', 'ruolo', 'bedrijf', 'functie', 'funcao'],
            self::Place => ['place', 'city', 'town', 'location', 'country', 'ort', 'stadt', 'land', 'wohnort', 'ville', 'lieu', 'pays', 'ciudad', 'lugar', 'pais', 'citta', 'luogo', 'paese', 'plaats', 'stad', 'cidade', 'local'],
            self::SaidAt => ['said at', 'written at', 'where it was said', 'where', 'source', 'site', 'platform', 'channel', 'service', 'origin', 'quelle', 'plattform', 'portal', 'kanal', 'plateforme', 'canal', 'fuente', 'plataforma', 'fonte', 'piattaforma', 'canale', 'bron', 'kanaal'],
            self::Date => ['date', 'published', 'published at', 'date published', 'created', 'created at', 'review date', 'posted', 'posted on', 'time', 'timestamp', 'when', 'submitted', 'datum', 'veroffentlicht', 'erstellt', 'le', 'date de publication', 'fecha', 'data', 'gepubliceerd'],
            self::Rating => ['rating', 'stars', 'score', 'points', 'star rating', 'review rating', 'mark', 'grade', 'rate', 'bewertung', 'sterne', 'punkte', 'note', 'etoiles', 'evaluation', 'puntuacion', 'calificacion', 'estrellas', 'valoracion', 'nota', 'voto', 'valutazione', 'stelle', 'punteggio', 'beoordeling', 'sterren', 'cijfer', 'avaliacao', 'estrelas', 'classificacao'],
            self::Best => ['best', 'scale', 'out of', 'max', 'maximum', 'best rating', 'of', 'skala', 'von', 'echelle', 'sur', 'escala', 'scala', 'schaal'],
            self::Worst => ['worst', 'min', 'minimum', 'worst rating'],
            self::Title => ['title', 'headline', 'subject line', 'summary', 'review title', 'heading', 'titel', 'uberschrift', 'titre', 'titulo', 'titolo', 'kop'],
            self::Text => ['text', 'what they wrote', 'what they said', 'what was said', 'wrote', 'review', 'comment', 'comments', 'words', 'body', 'content', 'message', 'testimonial', 'quote', 'feedback', 'review text', 'description', 'opinion', 'kommentar', 'rezension', 'nachricht', 'meinung', 'avis', 'commentaire', 'texte', 'comentario', 'resena', 'opinion', 'texto', 'recensione', 'commento', 'testo', 'recensie', 'opmerking', 'tekst', 'mensagem', 'opiniao'],
            self::Reply => ['reply', 'response', 'owner reply', "owner's reply", 'owner response', 'answer', 'our reply', 'antwort', 'reponse', 'respuesta', 'risposta', 'antwoord', 'resposta'],
            self::ReplyDate => ['reply date', 'replied', 'replied at', 'response date', 'antwortdatum', 'date de reponse', 'fecha de respuesta'],
            self::Url => ['address', 'url', 'link', 'permalink', 'web address', 'review url', 'adresse', 'lien', 'enlace', 'direccion', 'indirizzo', 'adres', 'endereco'],
            self::Subject => ['subject', 'product', 'venue', 'item', 'about', 'business', 'listing', 'property', 'thema', 'produkt', 'objekt', 'betrifft', 'sujet', 'produit', 'etablissement', 'producto', 'asunto', 'prodotto', 'oggetto', 'onderwerp', 'product name', 'produto', 'assunto'],
            self::Labels => ['labels', 'tags', 'label', 'tag', 'category', 'categories', 'keywords', 'hashtags', 'schlagworte', 'kategorie', 'etiquettes', 'mots cles', 'categorie', 'etiquetas', 'categoria', 'etichette', 'trefwoorden'],
            self::Language => ['language', 'lang', 'locale', 'sprache', 'langue', 'idioma', 'lingua', 'taal'],
            self::Kind => ['kind', 'type', 'art', 'genre', 'tipo', 'soort'],
            self::Picture => ['picture', 'photo', 'image', 'avatar', 'photo url', 'image url', 'bild', 'foto', 'imagen', 'immagine', 'afbeelding', 'imagem'],
        };
    }
}
