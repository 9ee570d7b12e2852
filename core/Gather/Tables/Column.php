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
     * Names by which people call such a column, in the languages of Europe, in Turkish, Arabic, Korean, Japanese and Chinese
     * (from memory); folded: no accents, no case.
     *
     * @return list<string>
     */
    public function names(): array
    {
        return explode(', ', match ($this) {
            self::Id => 'id, review id, entry id, identifier, kennung, identifiant, identificador, uid, guid',
            self::Author => 'author, name, reviewer, reviewer name, author name, customer, customer name, by, from, who, guest, '
                .'user, username, client, autor, verfasser, kunde, kundenname, gast, auteur, nom, cliente, nombre, '
                .'autore, nome, klant, naam, schrijver, 名前, お名前, 氏名, 投稿者, レビュアー, ニックネーム, 姓名, '
                .'作者, 用户, 昵称, imie, imie i nazwisko, klient, имя, автор, клиент, namn, navn, isim, ad soyad, '
                ."이름, 작성자, 닉네임, الاسم, jmeno, nev, nimi, nume, ονομα, ім'я",
            self::Role => 'role, company, job, job title, position, organisation, organization, firma, unternehmen, rolle, '
                .'entreprise, societe, empresa, cargo, azienda, ruolo, bedrijf, functie, funcao',
            self::Place => 'place, city, town, location, country, ort, stadt, land, wohnort, ville, lieu, pays, ciudad, lugar, '
                .'pais, citta, luogo, paese, plaats, stad, cidade, local, 場所, 都道府県, 地区, 城市, miasto, город, '
                .'sehir, mesto',
            self::SaidAt => 'said at, written at, where it was said, where, source, site, platform, channel, service, origin, '
                .'quelle, plattform, portal, kanal, plateforme, canal, fuente, plataforma, fonte, piattaforma, '
                .'canale, bron, kanaal, サイト, 平台, zrodło, источник, kalla, kilde, kaynak',
            self::Date => 'date, published, published at, date published, created, created at, review date, posted, posted on, '
                .'time, timestamp, when, submitted, datum, veroffentlicht, erstellt, le, date de publication, fecha, '
                .'data, gepubliceerd, 日付, 投稿日, 日時, 作成日, 日期, 时间, 發表日期, data dodania, дата, dato, '
                .'tarih, 날짜, 작성일, التاريخ, paivamaara, ημερομηνια',
            self::Rating => 'rating, stars, score, points, star rating, review rating, mark, grade, rate, bewertung, sterne, '
                .'punkte, note, etoiles, evaluation, puntuacion, calificacion, estrellas, valoracion, nota, voto, '
                .'valutazione, stelle, punteggio, beoordeling, sterren, cijfer, avaliacao, estrelas, classificacao, '
                .'評価, 評点, 点数, 星, スコア, 评分, 星级, 評分, ocena, gwiazdki, оценка, реитинг, звезды, betyg, '
                .'bedømmelse, karakter, vurdering, puan, 평점, 별점, التقييم, hodnoceni, ertekeles, arvosana, '
                .'βαθμολογια, оцінка',
            self::Best => 'best, scale, out of, max, maximum, best rating, of, skala, von, echelle, sur, escala, scala, schaal',
            self::Worst => 'worst, min, minimum, worst rating',
            self::Title => 'title, headline, subject line, summary, review title, heading, titel, uberschrift, titre, titulo, '
                .'titolo, kop, タイトル, 件名, 題名, 标题, 標題, tytuł, заголовок, rubrik, overskrift, baslik, 제목, '
                .'العنوان, nadpis, otsikko, nazev',
            self::Text => 'text, what they wrote, what they said, what was said, wrote, review, comment, comments, words, '
                .'body, content, message, testimonial, quote, feedback, review text, description, opinion, kommentar, '
                .'rezension, nachricht, meinung, avis, commentaire, texte, comentario, resena, texto, recensione, '
                .'commento, testo, recensie, opmerking, tekst, mensagem, opiniao, 本文, コメント, レビュー, '
                .'レビュー内容, 感想, 口コミ, クチコミ, 内容, 评论, 评价, 評論, remarks, remark, experience, '
                .'your experience, thoughts, impression, impressions, what did you like, what did you think, '
                .'bemerkung, bemerkungen, anmerkung, anmerkungen, eindruck, erfahrung, remarque, remarques, '
                .'observaciones, osservazioni, opmerkingen, ervaring, opinia, komentarz, tresc, recenzja, отзыв, '
                .'комментарии, текст, omdome, recension, anmeldelse, yorum, 리뷰, 후기, 내용, التعليق, recenze, '
                .'komentar, velemeny, szoveg, arvio, teksti, recenzie, comentariu, σχολιο, κριτικη, відгук',
            self::Reply => "reply, response, owner reply, owner's reply, owner response, answer, our reply, antwort, reponse, "
                .'respuesta, risposta, antwoord, resposta, 返信, オーナー返信, 回复, 回覆, odpowiedz, ответ, svar, '
                .'yanit, 답변, الرد',
            self::ReplyDate => 'reply date, replied, replied at, response date, antwortdatum, date de reponse, fecha de respuesta',
            self::Url => 'address, url, link, permalink, web address, review url, adresse, lien, enlace, direccion, '
                .'indirizzo, adres, endereco, リンク, 链接',
            self::Subject => 'subject, product, venue, item, about, business, listing, property, thema, produkt, objekt, '
                .'betrifft, sujet, produit, etablissement, producto, asunto, prodotto, oggetto, onderwerp, '
                .'product name, produto, assunto, 施設, 商品, 対象, 商品名, 施設名',
            self::Labels => 'labels, tags, label, tag, category, categories, keywords, hashtags, schlagworte, kategorie, '
                .'etiquettes, mots cles, categorie, etiquetas, categoria, etichette, trefwoorden, タグ, 标签',
            self::Language => 'language, lang, locale, sprache, langue, idioma, lingua, taal, 言語, 语言',
            self::Kind => 'kind, type, art, genre, tipo, soort',
            self::Picture => 'picture, photo, image, avatar, photo url, image url, bild, foto, imagen, immagine, afbeelding, '
                .'imagem',
        });
    }
}
